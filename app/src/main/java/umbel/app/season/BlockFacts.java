package umbel.app.season;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import umbel.app.harvest.Picking;
import umbel.app.harvest.PickingRepository;
import umbel.app.orchard.Block;
import umbel.app.reader.Reader;
import umbel.assess.CountedAssessor;
import umbel.crew.WorkKind;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.season.SeasonBlock;
import umbel.season.SeasonTraits;

/** What the season needs to know of a block, whatever stands in it: trees, or bushes, cane rows and vines. */
@Component
class BlockFacts {

    /** Leaf from which trees bear where their kind does not tell it for their stock. */
    private static final int USUAL_BEARING_LEAF = 4;

    private final Knowledge knowledge;
    private final PickingRepository pickings;

    BlockFacts(Knowledge knowledge, PickingRepository pickings) {
        this.knowledge = knowledge;
        this.pickings = pickings;
    }

    /**
     * A block for the season.
     *
     * @param systemName how it is grown, in the reader's words
     * @param minutesAPlant usual minutes of its main cut by who may do it
     */
    record Facts(SeasonBlock season, String systemName, Map<WorkKind, Double> minutesAPlant) {}

    /**
     * A block's facts; empty where no knowledge covers what stands in it.
     *
     * @param diseases recorded on its plants
     */
    Optional<Facts> of(Block block, LocalDate today, Set<String> diseases) {
        int leaf = today.getYear() - block.plantedYear();
        if (knowledge.isCounted(block.species())) {
            CountedKind kind = knowledge.counted(block.species());
            return Optional.of(new Facts(
                    season(
                            block,
                            SeasonTraits.of(
                                    kind,
                                    block.holding().latitudeDeg(),
                                    block.holding().elevationM()),
                            leaf,
                            leaf >= kind.bearingLeaf(),
                            diseases),
                    Reader.speech().say(CountedAssessor.formOf(kind)),
                    Map.of(WorkKind.DETAIL, middle(kind.minutes()) * pieces(block, kind))));
        }
        Species species = first(knowledge.allSpecies(), one -> one.id().equals(block.species()));
        TrainingSystem system = first(knowledge.allSystems(), one -> one.id().equals(block.system()));
        if (species == null || system == null) {
            return Optional.empty();
        }
        Integer bears = species.growing().bearingLeaf().get(block.stock());
        return Optional.of(new Facts(
                season(
                        block,
                        SeasonTraits.of(species, system),
                        leaf,
                        leaf >= (bears == null ? USUAL_BEARING_LEAF : bears),
                        diseases),
                Reader.speech().knowledge(system.name()),
                minutes(system)));
    }

    private static <T> T first(List<T> all, java.util.function.Predicate<T> which) {
        return all.stream().filter(which).findFirst().orElse(null);
    }

    /** The work of a row is told by the metre, and a place of its block is so many metres of it. */
    private static double pieces(Block block, CountedKind kind) {
        return kind.form() == CountedKind.Form.ROW ? block.inRowM() : 1;
    }

    private SeasonBlock season(Block block, SeasonTraits traits, int leaf, boolean fruiting, Set<String> diseases) {
        return new SeasonBlock(
                traits,
                leaf,
                Set.copyOf(diseases),
                fruiting,
                pickings.findFirstByBlockIdAndKindAndLastOneTrueOrderByPickedOnDesc(block.id(), "harvest")
                        .map(Picking::pickedOn)
                        .orElse(null),
                block.holding().latitudeDeg());
    }

    /** As is usual in the system, parted by what needs a saw, a ladder or neither. */
    private Map<WorkKind, Double> minutes(TrainingSystem system) {
        double all = middle(system.work().minutesATree());
        double tall = system.shape().height();
        double reach = knowledge.parameters().reach() * system.reachFactor();
        double above = tall <= reach ? 0 : (tall - reach) / tall;
        double saw =
                system.scaffolds().permanent() ? knowledge.parameters().labour().sawShare() : 0;
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        minutes.put(WorkKind.SAW, saw * all);
        minutes.put(WorkKind.LADDER, (1 - saw) * above * all);
        minutes.put(WorkKind.DETAIL, (1 - saw) * (1 - above) * all);
        return minutes;
    }

    private static double middle(List<Double> range) {
        return (range.get(0) + range.get(1)) / 2;
    }
}
