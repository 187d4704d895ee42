package mardun.core.batch;

import mardun.core.design.SizedDesign;

/** A line of a batch with its size worked out. */
record SizedLine(BatchLine line, SizedDesign sized) {

    int number() {
        return line.number();
    }
}
