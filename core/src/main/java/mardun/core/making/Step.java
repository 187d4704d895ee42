package mardun.core.making;

import java.time.Duration;

/**
 * One operation in making a bag.
 *
 * @param perUnit hands-on time for each unit
 * @param perBatch hands-on time once per batch, mostly for making the set-up
 * @param passive time that needs no hands, once per batch: glue drying, a flap held under a weight
 * @param check what to look at before going on; empty if nothing
 */
public record Step(
        String name,
        Stage stage,
        Station station,
        SetUp setUp,
        Duration perUnit,
        Duration perBatch,
        Duration passive,
        String check) {}
