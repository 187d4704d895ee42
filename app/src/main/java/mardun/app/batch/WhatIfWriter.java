package mardun.app.batch;

import java.util.Optional;
import mardun.app.show.ViewWriter;
import mardun.core.batch.WhatIf;
import mardun.core.measure.Length;
import mardun.core.working.Value;

/** Says in sentences what would come of a change. */
record WhatIfWriter(ViewWriter writer, WhatIf whatIf) {

    String onWidth(Length width) {
        return compared("On cloth " + writer.text(Value.of(width)) + " wide", whatIf.onWidth(width));
    }

    String fewer(int bags) {
        return compared(
                bags == 1 ? "With one bag fewer" : "With " + bags + " bags fewer",
                whatIf.forBags(whatIf.units() - bags));
    }

    String turned() {
        return compared("With pieces turned wherever that helps", whatIf.turned());
    }

    /** How many bags the free cloth gives, and how many more with more of it. */
    String from(Length free, Optional<Length> more) {
        int now = whatIf.bagsFrom(free, BatchService.MOST_UNITS);
        String there = "The " + text(free) + " that is free gives " + words(now) + ".";
        return more.map(length -> {
                    int then = whatIf.bagsFrom(free.plus(length), BatchService.MOST_UNITS);
                    return there + " With " + text(length) + " more you can cut " + words(then - now) + " more.";
                })
                .orElse(there);
    }

    private String compared(String begin, Optional<Length> then) {
        if (then.isEmpty()) {
            return begin + " it can't be cut: a piece is wider than the cloth.";
        }
        String takes = begin + " it takes " + text(then.get());
        Optional<Length> now = whatIf.asItIs();
        if (now.isEmpty()) {
            return takes + ".";
        }
        Length less = now.get().minus(then.get());
        if (less.isZero()) {
            return takes + ", as much as now.";
        }
        return takes + ", " + (less.isPositive() ? text(less) + " less." : text(Length.ZERO.minus(less)) + " more.");
    }

    private static String words(int bags) {
        return bags == 0 ? "none" : bags == 1 ? "one bag" : bags + " bags";
    }

    private String text(Length length) {
        return writer.text(new Value.OnTheShelf(length));
    }
}
