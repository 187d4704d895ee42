package mardun.app.design;

/** A design was saved: what follows from it in other places is worked out anew, in the same transaction. */
public record DesignChanged(long designId) {}
