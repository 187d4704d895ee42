package mardun.app.material;

import mardun.core.material.Part;

/** What is on hand, or reserved, of a part of one material, in the smallest units. */
record OnHand(long materialId, Part part, long value) {}
