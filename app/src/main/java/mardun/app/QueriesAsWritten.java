package mardun.app;

import org.springframework.context.annotation.Configuration;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.data.jpa.repository.query.DeclaredQuery;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactory;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;

/**
 * Queries are taken as they are written. Hibernate parses each of them when the application starts; a second parser, which
 * could rewrite them, would only make the start a seventh longer.
 */
@Configuration(proxyBeanMethods = false)
@EnableJpaRepositories(queryEnhancerSelector = QueriesAsWritten.Plain.class)
class QueriesAsWritten {

    /** The one that doesn't parse. */
    static final class Plain implements QueryEnhancerSelector {

        @Override
        public QueryEnhancerFactory select(DeclaredQuery query) {
            return QueryEnhancerFactories.fallback();
        }
    }
}
