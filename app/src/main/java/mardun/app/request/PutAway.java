package mardun.app.request;

/**
 * Something is put away, or taken back.
 *
 * @param version that was shown
 */
public record PutAway(long version, boolean putAway) {}
