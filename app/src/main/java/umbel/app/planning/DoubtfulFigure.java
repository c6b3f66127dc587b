package umbel.app.planning;

import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;

/** Of how many trees the plan leaves doubts that a measurement would settle. */
@Component
class DoubtfulFigure implements FarmFigure {

    private final TreePlanRepository plans;

    DoubtfulFigure(TreePlanRepository plans) {
        this.plans = plans;
    }

    @Override
    public Kind kind() {
        return Kind.DOUBTFUL;
    }

    @Override
    public List<FarmCount> of(Collection<Long> farms) {
        return plans.countDoubtful(farms);
    }
}
