package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import mardun.app.design.DesignCosts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.data.repository.Repository;
import org.springframework.jdbc.core.JdbcTemplate;

/** Queries that are read after the start are as right as if the start had waited for them, and tables that are named are there. */
class StorageAtStartTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @Test
    void everyQueryCanBeRead() {
        assertThat(APP.parts(Repository.class)).hasSizeGreaterThan(50);
    }

    @Test
    void whatNoCostFollowsFromAreTables() {
        assertThat(APP.part(JdbcTemplate.class)
                        .queryForList(
                                "select lower(table_name) from information_schema.tables where table_schema = 'PUBLIC'",
                                String.class))
                .containsAll(DesignCosts.NO_COST_FOLLOWS);
    }
}
