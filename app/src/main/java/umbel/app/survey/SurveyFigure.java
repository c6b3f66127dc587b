package umbel.app.survey;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import umbel.app.farm.FarmFigure;

/** How many trees of a farm were surveyed. */
@Configuration(proxyBeanMethods = false)
class SurveyFigure {

    @Bean
    FarmFigure surveyed(SurveyRepository surveys) {
        return new FarmFigure(FarmFigure.Kind.SURVEYED, surveys::countSurveyedTrees);
    }
}
