package umbel.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;

/** The program round the core: keeps trees, surveys, work and records, and serves the interface. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class UmbelApplication {

    public static void main(String[] args) {
        SpringApplication.run(UmbelApplication.class, args);
    }

    @Bean
    Knowledge knowledge(UmbelSettings settings) {
        return Knowledge.with(settings.knowledge());
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }

    @Bean
    Assessor assessor(Knowledge knowledge) {
        return new Assessor(knowledge);
    }
}
