package umbel.reading;

import java.util.List;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.Options;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Envelope;
import umbel.wood.Role;
import umbel.wood.Setting;

/** Room left empty along the row after the years in which the tree should have filled it. */
final class BoxNotFilled extends Rule {

    BoxNotFilled() {
        super("box-not-filled", Subject.TREE, Stage.TRAIN);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Setting setting = context.tree().setting();
        if (setting.isFilling()) {
            return List.of();
        }
        double room = Math.min(setting.place().inRow(), setting.system().shape().spread());
        double empty = 1 - Math.min(room, Envelope.of(context.tree()).alongRow()) / room;
        double most = context.school().boxGapShare();
        if (empty <= most) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                Statement.of("measure.empty-room"),
                empty,
                most,
                "",
                Severity.CONSIDER,
                ThresholdConfidence.above(empty, most, context.errors().lengthShare()),
                Statement.of("finding.box-not-filled")
                        .with("leaf", Value.number(setting.leaf(), 0))
                        .with("filled", Value.share(1 - empty))
                        .with("due", Value.number(setting.system().shape().fullAtLeaf(), 0))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.boxGapShare";
    }

    /** Ends headed so that they branch and fill the room. */
    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.tree().limbsOn(context.tree().trunk()).stream()
                .filter(limb -> limb.conditions().isEmpty() && limb.role() != Role.SUCKER)
                .map(Options::heading)
                .flatMap(Optional::stream)
                .toList();
    }
}
