package umbel.app.farm;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.task.TaskDecorator;

/** Answers that are written in another thread, such as files, are written for the farm they were asked in. */
@Configuration
class FarmThreads {

    @Bean
    TaskDecorator forTheSameFarm() {
        return FarmScope::carried;
    }
}
