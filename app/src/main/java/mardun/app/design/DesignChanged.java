package mardun.app.design;

import mardun.app.id.DesignId;

/** A design was saved: what follows from it in other places is worked out anew, in the same transaction. */
public record DesignChanged(DesignId designId) {}
