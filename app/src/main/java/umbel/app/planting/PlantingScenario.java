package umbel.app.planting;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.planting.PlantingRequest;

/** A comparison of plantings kept under a name. */
@Entity
@Table(name = "planting_scenario")
class PlantingScenario extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String savedBy;
    private Instant savedAt;

    @Lob
    private String request;

    protected PlantingScenario() {}

    PlantingScenario(String name, String savedBy, Instant savedAt, PlantingRequest request) {
        this.name = name;
        this.savedBy = savedBy;
        this.savedAt = savedAt;
        this.request = JSON.writeValueAsString(request);
    }

    Long id() {
        return id;
    }

    String name() {
        return name;
    }

    String savedBy() {
        return savedBy;
    }

    Instant savedAt() {
        return savedAt;
    }

    PlantingRequest request() {
        return JSON.readValue(request, PlantingRequest.class);
    }
}
