package mardun.app.stored;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Says whether the database answers. Its connections say of themselves that they are valid also once it has closed itself. */
@Component("dbHealthIndicator")
class DatabaseHealth implements HealthIndicator {

    private final JdbcTemplate database;

    DatabaseHealth(JdbcTemplate database) {
        this.database = database;
    }

    @Override
    public Health health() {
        try {
            database.queryForObject("select 1", Integer.class);
            return Health.up().build();
        } catch (DataAccessException failed) {
            return Health.down()
                    .withDetail(
                            "trouble",
                            DatabaseClosed.isBehind(failed) ? DatabaseClosed.SENTENCE : "The database doesn't answer.")
                    .build();
        }
    }
}
