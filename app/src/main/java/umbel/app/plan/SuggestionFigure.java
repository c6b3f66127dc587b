package umbel.app.plan;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import umbel.app.farm.FarmFigure;

/** How many suggestions wait for an answer in a farm. */
@Configuration(proxyBeanMethods = false)
class SuggestionFigure {

    @Bean
    FarmFigure suggested(SuggestionRepository suggestions) {
        return new FarmFigure(FarmFigure.Kind.SUGGESTED, suggestions::countOpen);
    }
}
