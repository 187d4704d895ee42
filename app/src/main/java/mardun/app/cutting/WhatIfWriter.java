package mardun.app.cutting;

import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchEntry;
import mardun.app.show.ViewWriter;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.Supply;
import mardun.core.batch.WhatIf;
import mardun.core.material.Amount;
import mardun.core.material.Part;
import mardun.core.measure.Length;
import mardun.core.money.Apportionment;
import mardun.core.working.Value;

/** Says in sentences what would come of a change. */
record WhatIfWriter(ViewWriter writer, WhatIf whatIf) {

    String onWidth(Length width) {
        return compared("On cloth " + writer.text(Value.of(width)) + " wide", whatIf.onWidth(width));
    }

    String fewer(int bags) {
        return compared(
                bags == 1 ? "With one bag fewer" : "With " + bags + " bags fewer",
                whatIf.forBags(whatIf.job().units() - bags));
    }

    /** What it would take of another cloth, and what that costs; and whether there is enough of it. */
    String fromCloth(Supply other, List<PieceLine> lines) {
        String begin = "From " + other.name() + ", "
                + writer.text(Value.of(other.usableWidth().orElseThrow())) + " wide";
        Optional<Length> then = whatIf.from(other, lines);
        if (then.isEmpty()) {
            return begin + ", it can't be cut: a piece is wider than the cloth.";
        }
        Length free = new Length(Math.max(0, other.stock(Part.WHOLE).free().value()));
        String enough = then.get().compareTo(free) <= 0
                ? " There is enough of it."
                : " " + text(then.get().minus(free)) + " of it would be missing.";
        return begin + ", it takes " + text(then.get()) + " for " + money(other, then.get())
                + whatIf.asItIs()
                        .map(now -> "; now it is " + text(now) + " for " + money(whatIf.cloth(), now))
                        .orElse("")
                + "." + enough;
    }

    private String money(Supply cloth, Length length) {
        return writer.money(Apportionment.rounded(cloth.price().cost(Amount.of(length))))
                .amount();
    }

    String turned() {
        return compared("With pieces turned wherever that helps", whatIf.turned());
    }

    /** How many bags the free cloth gives, and how many more with more of it. */
    String from(Length free, Optional<Length> more) {
        int now = whatIf.bagsFrom(free, BatchEntry.MOST_UNITS);
        String there = "The " + text(free) + " that is free gives " + words(now) + ".";
        return more.map(length -> {
                    int then = whatIf.bagsFrom(free.plus(length), BatchEntry.MOST_UNITS);
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
