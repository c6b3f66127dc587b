package umbel.app.database;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayConfigurationCustomizer;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Which database the program keeps its data in, by its address: H2 in a file of its own, or PostgreSQL. */
@Configuration(proxyBeanMethods = false)
public class DatabaseKind {

    private static final String POSTGRES = "jdbc:postgresql:";

    private final boolean postgres;

    DatabaseKind(@Value("${spring.datasource.url}") String address) {
        this.postgres = isPostgres(address);
    }

    /** Whether an address is that of a PostgreSQL. */
    static boolean isPostgres(String address) {
        return address.startsWith(POSTGRES);
    }

    /** Whether the data lie in a file of the program's own. */
    public boolean isOwnFile() {
        return !postgres;
    }

    @Bean
    FlywayConfigurationCustomizer migrations() {
        return flyway -> {
            if (postgres) {
                flyway.locations("filesystem:" + PostgresMigrations.folder());
            }
        };
    }

    @Bean
    HibernatePropertiesCustomizer dialect() {
        return properties -> {
            if (postgres) {
                properties.put("hibernate.dialect", PostgresDialect.class.getName());
            }
        };
    }
}
