package mardun.core.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.core.cutting.Bags;
import mardun.core.cutting.PieceKey;
import mardun.core.design.Outline;
import mardun.core.design.PieceNotes;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;

/**
 * What is cut for all lines of a batch. Pieces of several lines that are cut alike from one cloth are one row: the same lining of
 * three designs is one job.
 */
public final class CutList {

    private CutList() {}

    /**
     * Pieces that are cut alike.
     *
     * @param key by which they are known: that of the first of their lines
     * @param from the cloth that they are cut from; empty while none is chosen
     * @param shares for which lines they are, at least one
     */
    public record PieceLine(PieceKey key, Optional<Supply> from, List<PieceShare> shares) {

        public PieceLine {
            shares = List.copyOf(shares);
        }

        /** The piece as the first of its lines has it. */
        public SizedPiece piece() {
            return shares.get(0).piece();
        }

        /** How many for all lines. */
        public long count() {
            return shares.stream().mapToLong(PieceShare::count).reduce(0, Math::addExact);
        }

        /** What it is called, in each of its lines that calls it otherwise. */
        public String name() {
            return shares.stream()
                    .map(share -> share.piece().piece().name())
                    .distinct()
                    .collect(Collectors.joining(" / "));
        }

        public boolean isFrom(Supply cloth) {
            return from.filter(its -> its.key().equals(cloth.key())).isPresent();
        }
    }

    /**
     * The pieces of a kind that are for one line.
     *
     * @param units for how many bags they are cut here
     */
    public record PieceShare(int line, int units, SizedPiece piece) {

        public long count() {
            return Math.multiplyExact((long) units, piece.count());
        }

        public PieceKey key() {
            return new PieceKey(line, piece.piece().letter());
        }
    }

    /**
     * Lengths of trim that are cut alike.
     *
     * @param from what they are cut from; empty while nothing is chosen
     * @param shares for which lines they are, at least one
     */
    public record TrimLine(PieceKey key, Optional<Supply> from, List<TrimShare> shares) {

        public TrimLine {
            shares = List.copyOf(shares);
        }

        /** The trim as the first of its lines has it. */
        public SizedTrim trim() {
            return shares.get(0).trim();
        }

        public long count() {
            return shares.stream().mapToLong(TrimShare::count).reduce(0, Math::addExact);
        }
    }

    /** The lengths of a kind that are for one line. */
    public record TrimShare(int line, int units, SizedTrim trim) {

        public long count() {
            return Math.multiplyExact((long) units, trim.count());
        }
    }

    /**
     * What makes pieces of two lines one kind.
     *
     * @param which a bag that has two such pieces has the first and the second of them
     */
    private record Alike(
            String cloth,
            Extent extent,
            Outline outline,
            boolean directional,
            boolean meetsPrint,
            boolean overSelvage,
            List<Sentence> notes,
            int which) {}

    private record AlikeTrim(String from, String name, Length length, int which) {}

    /** The pieces of all lines that are cut here. */
    static List<PieceLine> pieces(List<SizedLine> lines, Filled filled) {
        Map<Object, List<PieceShare>> kinds = new LinkedHashMap<>();
        Map<Object, Optional<Supply>> from = new HashMap<>();
        boolean several = lines.size() > 1;
        for (SizedLine line : lines) {
            Map<Object, Integer> seen = new HashMap<>();
            for (SizedPiece piece : line.sized().pieces()) {
                Optional<Supply> cloth = filled.cloth(line.line(), piece.piece().slot());
                int bags = line.line().units();
                int cutHere = cloth.map(its -> line.line().moved().cutHere(its.key(), bags))
                        .orElse(bags);
                if (cutHere == 0) {
                    continue;
                }
                PieceShare share = new PieceShare(line.number(), cutHere, piece);
                Object kind = several && cloth.isPresent() ? alike(cloth.get(), piece, seen) : share.key();
                kinds.computeIfAbsent(kind, k -> new ArrayList<>()).add(share);
                from.put(kind, cloth);
            }
        }
        return kinds.entrySet().stream()
                .map(entry -> new PieceLine(entry.getValue().get(0).key(), from.get(entry.getKey()), entry.getValue()))
                .toList();
    }

    private static Alike alike(Supply cloth, SizedPiece piece, Map<Object, Integer> seen) {
        Alike first = new Alike(
                cloth.key(),
                piece.extent(),
                piece.outline(),
                cloth.directional() && piece.piece().directional(),
                piece.piece().meetsPrint(),
                piece.piece().overSelvage(),
                PieceNotes.of(piece),
                0);
        int which = seen.merge(first, 1, Integer::sum);
        return new Alike(
                first.cloth,
                first.extent,
                first.outline,
                first.directional,
                first.meetsPrint,
                first.overSelvage,
                first.notes,
                which);
    }

    /** The trims of all lines; each has one bag or more. */
    static List<TrimLine> trims(List<SizedLine> lines, Filled filled) {
        Map<Object, List<TrimShare>> kinds = new LinkedHashMap<>();
        Map<Object, PieceKey> keys = new HashMap<>();
        Map<Object, Optional<Supply>> from = new HashMap<>();
        boolean several = lines.size() > 1;
        for (SizedLine line : lines) {
            Map<Object, Integer> seen = new HashMap<>();
            for (SizedTrim trim : line.sized().trims()) {
                PieceKey key = new PieceKey(line.number(), trim.trim().letter());
                Optional<Supply> supply = filled.trim(line.line(), trim);
                Object kind = key;
                if (several && supply.isPresent()) {
                    AlikeTrim first = new AlikeTrim(
                            supply.get().key(),
                            trim.trim().name(),
                            trim.length().value(),
                            0);
                    kind = new AlikeTrim(first.from, first.name, first.length, seen.merge(first, 1, Integer::sum));
                }
                keys.putIfAbsent(kind, key);
                kinds.computeIfAbsent(kind, k -> new ArrayList<>())
                        .add(new TrimShare(line.number(), line.line().units(), trim));
                from.put(kind, supply);
            }
        }
        return kinds.entrySet().stream()
                .map(entry -> new TrimLine(keys.get(entry.getKey()), from.get(entry.getKey()), entry.getValue()))
                .toList();
    }

    /** For which bags these pieces are, line by line. */
    public static List<Bags> bags(List<PieceLine> kinds) {
        Map<Integer, Map<PieceKey, Long>> each = new LinkedHashMap<>();
        Map<Integer, Integer> units = new HashMap<>();
        kinds.forEach(kind -> kind.shares().forEach(share -> {
            each.computeIfAbsent(share.line(), line -> new LinkedHashMap<>())
                    .merge(kind.key(), share.piece().count(), Long::sum);
            units.put(share.line(), share.units());
        }));
        return each.keySet().stream()
                .sorted()
                .map(line -> new Bags(line, units.get(line), each.get(line)))
                .toList();
    }
}
