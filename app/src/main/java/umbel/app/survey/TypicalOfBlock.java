package umbel.app.survey;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Component;
import umbel.app.orchard.Block;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.plant.SurveyedTree;
import umbel.practice.TypicalTree;
import umbel.reading.Neighbours;

/** The tree that stands in for a block of which none was surveyed: a typical one of its kind, system and age. */
@Component
public class TypicalOfBlock {

    private final Assessor assessor;
    private final Clock clock;

    TypicalOfBlock(Assessor assessor, Clock clock) {
        this.assessor = assessor;
        this.clock = clock;
    }

    /**
     * Builds and reads it; some hundredths of a second.
     *
     * @throws umbel.knowledge.NotSupported where its plants are counted, or nothing is known of them
     */
    public SurveyedTree of(Block block) {
        int year = LocalDate.now(clock.withZone(block.holding().timeZone())).getYear();
        int leaf = Math.max(1, year - block.plantedYear());
        return SurveyedTree.read(
                assessor,
                AssessRequest.of(TypicalTree.of(block.species(), block.system(), leaf, null, null)),
                Neighbours.NONE);
    }
}
