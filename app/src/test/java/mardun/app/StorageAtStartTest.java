package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.data.repository.Repository;

/** Queries that are read after the start are as right as if the start had waited for them. */
class StorageAtStartTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @Test
    void everyQueryCanBeRead() {
        assertThat(APP.parts(Repository.class)).hasSizeGreaterThan(50);
    }
}
