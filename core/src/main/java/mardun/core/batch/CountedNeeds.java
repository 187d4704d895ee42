package mardun.core.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mardun.core.batch.CutList.TrimLine;
import mardun.core.cutting.LengthCutting;
import mardun.core.cutting.LengthPiece;
import mardun.core.cutting.LengthPlan;
import mardun.core.design.Finding;
import mardun.core.design.Mark;
import mardun.core.design.SizedFilling;
import mardun.core.design.SizedNotion;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.Part;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;

/** What all lines of a batch take together of a trim, a notion or a filling. */
final class CountedNeeds {

    private CountedNeeds() {}

    /** Something that one bag of a line takes. */
    record ForLine<T>(BatchLine line, T what) {}

    /** One closed-end zip for each length; a nylon one is cut down, a metal one must match. */
    static Need zips(Supply supply, List<TrimLine> lines, List<Finding> findings) {
        ClosedZip zip = supply.zip().orElseThrow();
        long count = 0;
        for (TrimLine line : lines) {
            count += line.count();
            Length wanted = line.trim().length().value();
            if (!zip.serves(wanted)) {
                findings.add(Finding.refused(
                        Need.place(supply),
                        Sentence.of(
                                "“{0}” is {1} long, and {2} is needed.",
                                Value.of(supply.name()), Value.of(zip.length()), Value.of(wanted)),
                        Sentence.of(
                                zip.metal()
                                        ? "A metal zip isn't cut: choose one of just this length, or a longer nylon one."
                                        : "Choose a longer one, or zip tape by the metre.")));
            }
        }
        Working told = Working.of("One zip for each; a longer one is cut down and its end stitched.")
                .expression("{n}")
                .input("n", "zips", Value.of(count))
                .gives(Value.of(count));
        return Need.of(supply, Part.WHOLE, Amount.pieces(count), told, byCount(lines));
    }

    /** Left-over lengths first, then the rolls: what leaves the shelf, and what has to be bought. */
    static Need trims(Supply supply, List<TrimLine> lines, boolean severalLines, Workroom workroom) {
        LengthPlan plan = LengthCutting.plan(
                lines.stream()
                        .map(line -> new LengthPiece(
                                severalLines
                                        ? line.key().toString()
                                        : line.key().letter(),
                                line.trim().trim().name(),
                                line.trim().length().value(),
                                line.count()))
                        .toList(),
                supply.lie().rolls(),
                workroom.endTrim(),
                workroom.keptLength(),
                supply.lie().oneDye());
        Working.Builder working = Working.of("So many lengths of trim.");
        List<String> terms = new ArrayList<>();
        for (TrimLine line : lines) {
            String number = Integer.toString(terms.size() + 1);
            terms.add("{lengths " + number + "} × {length " + number + "}");
            working.input("lengths " + number, "lengths", Value.of(line.count()))
                    .input(
                            "length " + number,
                            line.trim().trim().name(),
                            Value.of(line.trim().length().value()),
                            line.trim().length().working());
        }
        if (plan.endTrim().isPositive()) {
            terms.add("{ends} × {trim}");
            working.input("ends", "ends that are trimmed", Value.of(plan.trimmed()))
                    .input("trim", "trimmed off an end", Value.of(plan.endTrim()));
        }
        if (plan.lost().isPositive()) {
            terms.add("{lost}");
            working.input("lost", "rests that are too short to keep", Value.of(plan.lost()));
        }
        return Need.ofTrim(
                supply,
                plan,
                working.expression(String.join(" + ", terms))
                        .gives(new Value.OnTheShelf(plan.taken().plus(plan.toBuy()))),
                byLength(lines));
    }

    private static LineShares byLength(List<TrimLine> lines) {
        Map<Integer, Long> taken = new TreeMap<>();
        lines.forEach(line -> line.shares()
                .forEach(share -> taken.merge(
                        share.line(),
                        share.trim().length().value().times(share.count()).nanometres(),
                        Math::addExact)));
        return LineShares.byAmount(taken);
    }

    private static LineShares byCount(List<TrimLine> lines) {
        Map<Integer, Long> taken = new TreeMap<>();
        lines.forEach(line -> line.shares().forEach(share -> taken.merge(share.line(), share.count(), Math::addExact)));
        return LineShares.byAmount(taken);
    }

    /**
     * What is needed of a notion. The halves of a two-part one are counted apart where the shelf counts them apart; else
     * they are taken as sets, as many as the half that is needed more.
     */
    static List<Need> notions(Supply supply, List<ForLine<SizedNotion>> notions) {
        Map<Integer, Long> whole = counts(notions, Mark.Half.WHOLE);
        Map<Integer, Long> sockets = counts(notions, Mark.Half.SOCKET);
        Map<Integer, Long> studs = counts(notions, Mark.Half.STUD);
        boolean anyHalves = !sockets.isEmpty() || !studs.isEmpty();
        Map<Integer, BatchLine> lines = lines(notions);
        if (!supply.isTwoPart()) {
            Map<Integer, Long> each = sum(whole, most(sockets, studs));
            return List.of(notion(
                    supply,
                    Part.WHOLE,
                    each,
                    anyHalves ? "So many sets of two halves for each unit." : "So many for each unit.",
                    lines));
        }
        List<Need> needs = new ArrayList<>();
        if (!sum(whole, sockets).isEmpty()) {
            needs.add(notion(supply, Part.SOCKET, sum(whole, sockets), "So many sockets for each unit.", lines));
        }
        if (!sum(whole, studs).isEmpty()) {
            needs.add(notion(supply, Part.STUD, sum(whole, studs), "So many studs for each unit.", lines));
        }
        return needs;
    }

    private static Need notion(
            Supply supply, Part part, Map<Integer, Long> each, String rule, Map<Integer, BatchLine> lines) {
        Map<Integer, Long> taken = new TreeMap<>();
        Working.Builder told = Working.of(rule);
        List<String> terms = new ArrayList<>();
        each.forEach((line, one) -> {
            int units = lines.get(line).units();
            taken.put(line, Math.multiplyExact((long) units, one));
            terms.add("{n" + line + "} × {each" + line + "}");
            told.input("n" + line, "units", Value.of(units))
                    .input("each" + line, supply.name() + " for each", Value.of(one));
        });
        long total = taken.values().stream().reduce(0L, Math::addExact);
        return Need.of(
                supply,
                part,
                Amount.pieces(total),
                told.expression(String.join(" + ", terms)).gives(Value.of(total)),
                LineShares.byAmount(taken));
    }

    /** How many halves, or whole ones, one bag of each line takes. */
    private static Map<Integer, Long> counts(List<ForLine<SizedNotion>> notions, Mark.Half half) {
        Map<Integer, Long> counts = new TreeMap<>();
        notions.stream()
                .filter(one -> one.what().notion().half() == half && one.what().count() > 0)
                .forEach(one -> counts.merge(one.line().number(), one.what().count(), Math::addExact));
        return counts;
    }

    private static Map<Integer, Long> sum(Map<Integer, Long> ones, Map<Integer, Long> others) {
        Map<Integer, Long> sum = new TreeMap<>(ones);
        others.forEach((line, count) -> sum.merge(line, count, Math::addExact));
        return sum;
    }

    private static Map<Integer, Long> most(Map<Integer, Long> ones, Map<Integer, Long> others) {
        Map<Integer, Long> most = new TreeMap<>(ones);
        others.forEach((line, count) -> most.merge(line, count, Math::max));
        return most;
    }

    /** What is needed of a filling. */
    static Need filling(Supply supply, List<ForLine<SizedFilling>> fillings) {
        Map<Integer, Amount> each = new TreeMap<>();
        fillings.forEach(
                one -> each.merge(one.line().number(), Amount.of(one.what().amount()), Amount::plus));
        Map<Integer, BatchLine> lines = lines(fillings);
        Map<Integer, Long> taken = new TreeMap<>();
        Working.Builder told = Working.of("So much for each unit.");
        List<String> terms = new ArrayList<>();
        Amount total = Amount.none(supply.kind().counting());
        for (Map.Entry<Integer, Amount> one : each.entrySet()) {
            int line = one.getKey();
            int units = lines.get(line).units();
            Amount its = one.getValue().times(units);
            total = total.plus(its);
            taken.put(line, its.value());
            terms.add("{n" + line + "} × {each" + line + "}");
            told.input("n" + line, "units", Value.of(units))
                    .input(
                            "each" + line,
                            supply.name() + " for each",
                            one.getValue().shown());
        }
        return Need.of(
                supply,
                Part.WHOLE,
                total,
                told.expression(String.join(" + ", terms)).gives(total.shown()),
                LineShares.byAmount(taken));
    }

    private static <T> Map<Integer, BatchLine> lines(List<ForLine<T>> all) {
        Map<Integer, BatchLine> lines = new TreeMap<>();
        all.forEach(one -> lines.put(one.line().number(), one.line()));
        return lines;
    }
}
