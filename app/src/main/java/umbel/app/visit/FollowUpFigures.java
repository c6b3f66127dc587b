package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import umbel.app.farm.FarmFigure;

/** How much is to be come back for in a farm. */
@Configuration(proxyBeanMethods = false)
class FollowUpFigures {

    @Bean
    FarmFigure due(FollowUpRepository followUps, Clock clock) {
        return new FarmFigure(FarmFigure.Kind.DUE, farms -> followUps.countDue(farms, LocalDate.now(clock)));
    }

    @Bean
    FarmFigure overdue(FollowUpRepository followUps, Clock clock) {
        return new FarmFigure(FarmFigure.Kind.OVERDUE, farms -> followUps.countOverdue(farms, LocalDate.now(clock)));
    }
}
