package umbel.app.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** The guide as it is asked for: on screen, as a booklet, as cards. */
@ExtendWith(RunningUmbel.class)
class GuideApiTest {

    private static final double A6_WIDTH_PT = 297.6;

    private final RunningUmbel umbel;

    GuideApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private String text(String path) throws IOException {
        try (PDDocument pdf = Loader.loadPDF(umbel.bytes(path))) {
            return new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
        }
    }

    /** Whatever has a name in the guide on screen stands in the booklet under it. */
    @Test
    void theBookletHoldsAllThatTheGuideTells() throws IOException {
        JsonNode guide = umbel.get("/api/guide").json();
        List<String> names = new ArrayList<>();
        for (String part : List.of("cuts", "species", "counted", "systems", "terms")) {
            guide.path(part).forEach(one -> names.add(one.path("name").asString()));
        }
        guide.path("questions").forEach(one -> names.add(one.path("asks").asString()));
        umbel.get("/api/guide/rules")
                .json()
                .forEach(one -> names.add(one.path("name").asString()));
        assertThat(names.size()).isGreaterThan(150);
        String booklet = text("/api/guide/booklet.pdf?lang=en");
        assertThat(booklet).contains(names);
        assertThat(booklet).contains("local").as("the caution").contains("licensed");
    }

    @Test
    void theBookletIsInTheLanguageAndUnitsThatAreAskedFor() throws IOException {
        String spanish = text("/api/guide/booklet.pdf?lang=es&units=us");
        assertThat(spanish)
                .contains("Partes de un árbol", "Guía rival (Rival leader)")
                .doesNotContain(" cm ");
    }

    @ParameterizedTest
    @CsvSource({"apple, en, Apple, Dormant", "peach, es, Melocotonero, Reposo", "grape, en, Grape, Dormant"})
    void aKindsCardIsOnePageForThePocket(String kind, String language, String name, String phase) throws IOException {
        byte[] card = umbel.bytes("/api/guide/cards/" + kind + "?lang=" + language);
        try (PDDocument pdf = Loader.loadPDF(card)) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat((double) pdf.getPage(0).getMediaBox().getWidth()).isCloseTo(A6_WIDTH_PT, within(1.0));
            assertThat(new PDFTextStripper().getText(pdf)).contains(name, phase);
        }
    }

    @Test
    void everyKindHasACardThatFits() throws IOException {
        JsonNode guide = umbel.get("/api/guide").json();
        for (String part : List.of("species", "counted")) {
            for (JsonNode kind : guide.path(part)) {
                String id = kind.path("id").asString();
                // Spanish is the longer of the two
                try (PDDocument pdf = Loader.loadPDF(umbel.bytes("/api/guide/cards/" + id + "?lang=es"))) {
                    assertThat(pdf.getNumberOfPages()).as(id).isEqualTo(1);
                }
            }
        }
    }

    @Test
    void aKindThatNobodyKnowsHasNoCardAndASystemNoYears() {
        assertThat(umbel.get("/api/guide/cards/plastic").status()).isEqualTo(422);
        assertThat(umbel.get("/api/guide/systems/plastic/years").status()).isEqualTo(422);
    }
}
