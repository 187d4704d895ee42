package mardun.app.material;

import org.jspecify.annotations.Nullable;

/** From which stock a material counts as low; absent where the maker didn't say. */
record ReorderPoint(long id, @Nullable Long lowAtValue, boolean twoPart) {}
