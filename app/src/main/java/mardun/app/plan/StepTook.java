package mardun.app.plan;

import java.time.Duration;

/**
 * How long a step of a line took in its batch, where that was timed; else as it was planned.
 *
 * @param step its key
 * @param each hands-on time for each bag that was begun, mending in it; bags that never came to the step take nothing
 * @param once hands-on time once in the batch
 * @param timed on how many timed bags it rests; none where it is as planned
 */
public record StepTook(String step, Duration each, Duration once, int timed) {}
