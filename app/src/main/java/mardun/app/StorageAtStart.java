package mardun.app;

import org.springframework.beans.factory.BeanCreationNotAllowedException;
import org.springframework.beans.factory.ListableBeanFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.jpa.autoconfigure.EntityManagerFactoryBuilderCustomizer;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.task.SimpleAsyncTaskExecutor;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.data.jpa.repository.query.DeclaredQuery;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactory;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;
import org.springframework.data.repository.Repository;
import org.springframework.data.repository.config.BootstrapMode;

/**
 * How storage is made ready without keeping the start waiting: Hibernate looks through the entities beside it, and queries
 * are read when they are first asked, or soon after the start by a thread that gives way to all others. A second parser,
 * which could rewrite them, would only take longer.
 */
@Configuration(proxyBeanMethods = false)
@EnableJpaRepositories(queryEnhancerSelector = StorageAtStart.AsWritten.class, bootstrapMode = BootstrapMode.LAZY)
class StorageAtStart {

    @Bean
    EntityManagerFactoryBuilderCustomizer entitiesBesideTheStart() {
        return builder -> builder.setBootstrapExecutor(new SimpleAsyncTaskExecutor("entities-"));
    }

    @Bean
    @ConditionalOnBooleanProperty("mardun.warm-up")
    ApplicationListener<ApplicationReadyEvent> queriesAfterTheStart(ListableBeanFactory parts) {
        return ready -> {
            Thread thread = new Thread(() -> readAll(parts), "queries");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            thread.start();
        };
    }

    private static void readAll(ListableBeanFactory parts) {
        for (String repository : parts.getBeanNamesForType(Repository.class)) {
            try {
                parts.getBean(repository);
            } catch (BeanCreationNotAllowedException closing) {
                return;
            }
        }
    }

    /** The one that doesn't parse. */
    static final class AsWritten implements QueryEnhancerSelector {

        @Override
        public QueryEnhancerFactory select(DeclaredQuery query) {
            return QueryEnhancerFactories.fallback();
        }
    }
}
