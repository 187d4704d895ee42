package mardun.app.material;

import mardun.app.id.MaterialId;
import mardun.core.material.Part;

/** What is on hand, or reserved, of a part of one material, in the smallest units. */
record OnHand(MaterialId materialId, Part part, long value) {}
