package umbel.app.answer;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Base64;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import umbel.app.farm.OfOneFarm;
import umbel.text.Speech;

/** An answer about a survey as somebody was given it last. */
@Entity
class KeptAnswer extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long surveyId;
    private String kind;

    private String language;
    private String units;

    /** Of all it depends on. */
    private String basis;

    private LocalDate askedOn;

    /** Characters of the document. */
    private int size;

    /** The JSON, packed. */
    @Lob
    private String document;

    protected KeptAnswer() {}

    KeptAnswer(long surveyId, AnswerKind kind, Speech speech) {
        this.surveyId = surveyId;
        this.kind = kind.name();
        this.language = speech.language();
        this.units = speech.units().name();
    }

    boolean restsOn(String on) {
        return on.equals(basis);
    }

    LocalDate askedOn() {
        return askedOn;
    }

    String json() {
        try (GZIPInputStream packed =
                new GZIPInputStream(new ByteArrayInputStream(Base64.getDecoder().decode(document)))) {
            return new String(packed.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void tell(String json, String on, LocalDate today) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (OutputStream out = new GZIPOutputStream(packed)) {
            out.write(json.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        document = Base64.getEncoder().encodeToString(packed.toByteArray());
        size = document.length();
        basis = on;
        askedOn = today;
    }

    void askedAgain(LocalDate today) {
        askedOn = today;
    }
}
