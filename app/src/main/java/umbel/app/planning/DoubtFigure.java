package umbel.app.planning;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import umbel.app.farm.FarmFigure;

/** Of how many trees of a farm the plan leaves doubts. */
@Configuration(proxyBeanMethods = false)
class DoubtFigure {

    @Bean
    FarmFigure doubtful(TreePlanRepository plans) {
        return new FarmFigure(FarmFigure.Kind.DOUBTFUL, plans::countDoubtful);
    }
}
