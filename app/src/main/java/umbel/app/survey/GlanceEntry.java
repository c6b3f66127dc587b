package umbel.app.survey;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.text.Value;

/** A surveyed plant at a glance, kept so that lists need not read every tree; worked out anew by another version of the program. */
@Entity
@Table(name = "survey_glance")
class GlanceEntry extends OfOneFarm {

    private static final JsonMapper JSON =
            JsonMapper.builder().addMixIn(Value.class, Named.class).build();

    /** What kind of value it is stands with it. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME, property = "is")
    private interface Named {}

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long surveyId;
    private String program;

    @Lob
    private String document;

    protected GlanceEntry() {}

    GlanceEntry(long surveyId) {
        this.surveyId = surveyId;
    }

    long surveyId() {
        return surveyId;
    }

    /** Which version of the program worked it out. */
    String program() {
        return program;
    }

    Glance glance() {
        return JSON.readValue(document, Glance.class);
    }

    void tell(Glance glance, String by) {
        document = JSON.writeValueAsString(glance);
        program = by;
    }
}
