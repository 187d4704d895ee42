package mardun.app.stored;

import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts {@link OneWriter} in front of the database, so that each transaction is on the disk whole or not at all. */
@Configuration(proxyBeanMethods = false)
class StoredWhole {

    /** As long as the database itself would wait for a row that somebody else holds. */
    private static final Duration LONGEST = Duration.ofSeconds(20);

    @Bean
    static BeanPostProcessor oneWriter() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource source && !(bean instanceof OneWriter)
                        ? new OneWriter(source, LONGEST)
                        : bean;
            }
        };
    }
}
