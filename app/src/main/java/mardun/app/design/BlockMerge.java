package mardun.app.design;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.PromptRow;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.core.design.Measurement;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;
import mardun.core.making.StepUses;

/**
 * Puts a building block into a design, and takes one out. A measurement or a slot that the design has already by the
 * same name serves the block too; letters and step keys that are taken are replaced by free ones, wherever they stand.
 */
final class BlockMerge {

    private static final Pattern NAME = Pattern.compile("[\\p{L}][\\p{L}\\p{M}\\p{N}_]*");

    private BlockMerge() {}

    static DesignDocument into(DesignDocument design, BlockDocument block) {
        Map<String, String> letters = freeLetters(design, block);
        Map<String, String> keys = freeKeys(design, block);
        Function<String, String> letter = l -> letters.getOrDefault(l, l);
        Set<String> known = letters.keySet();
        return new DesignDocument(
                design.name(),
                design.sort(),
                design.note(),
                design.sizes(),
                design.sizeKeys(),
                design.usualUnits(),
                with(design.measurements(), block.measurements(), Measurement::symbol),
                design.form(),
                joined(
                        design.pieces(),
                        block.pieces().stream().map(p -> lettered(p, letter)).toList()),
                design.panels(),
                joined(
                        design.trims(),
                        block.trims().stream().map(t -> lettered(t, letter)).toList()),
                joined(design.notions(), block.notions()),
                design.fillings(),
                joined(
                        design.zips(),
                        block.zips().stream().map(z -> lettered(z, letter)).toList()),
                joined(
                        design.straps(),
                        block.straps().stream().map(s -> lettered(s, letter)).toList()),
                joined(design.casings(), block.casings()),
                design.gathers(),
                joined(
                        design.steps(),
                        block.steps().stream()
                                .map(s -> keyed(s, keys, StepUses.renamed(s.uses(), known, letter::apply)))
                                .toList()),
                with(design.slots(), block.slots(), SlotRow::key),
                design.source(),
                design.forChildren(),
                design.setAside(),
                design.begun(),
                design.openChoices(),
                design.paper());
    }

    /** The steps with the given keys, and all that they use and need. */
    static BlockDocument from(DesignDocument design, Set<String> stepKeys) {
        List<StepRow> steps = design.steps().stream()
                .filter(step -> stepKeys.contains(step.key()))
                .map(step -> among(step, stepKeys))
                .toList();
        Set<String> letters = new HashSet<>();
        Set<String> known = Renaming.letters(design);
        steps.forEach(step ->
                StepUses.read(step.uses(), known).ifPresent(uses -> uses.forEach(use -> letters.add(use.letter()))));
        Set<String> ofTheForm = Set.of(
                design.form().outer(), design.form().lining(), design.form().other());
        letters.removeAll(ofTheForm);
        List<PieceRow> pieces = design.pieces().stream()
                .filter(p -> letters.contains(p.letter()))
                .toList();
        List<TrimNeed> trims = design.trims().stream()
                .filter(t -> letters.contains(t.letter()))
                .toList();
        List<ZipFit> zips =
                design.zips().stream().filter(z -> letters.contains(z.zip())).toList();
        List<Strap> straps =
                design.straps().stream().filter(s -> letters.contains(s.of())).toList();
        Set<String> slots = new HashSet<>();
        pieces.forEach(p -> slots.add(p.slot()));
        trims.forEach(t -> slots.add(t.slot()));
        return new BlockDocument(
                needed(design.measurements(), pieces, trims, zips, straps, steps),
                pieces,
                trims,
                List.of(),
                zips,
                straps,
                List.of(),
                steps,
                design.slots().stream()
                        .filter(slot -> slots.contains(slot.key()))
                        .map(slot ->
                                new SlotRow(slot.key(), slot.label(), slot.kind(), slot.cloths(), slot.ware(), null))
                        .toList());
    }

    /** A step that comes after nothing but the steps that go with it. */
    private static StepRow among(StepRow step, Set<String> stepKeys) {
        return step.placed(
                step.key(), step.after().stream().filter(stepKeys::contains).toList(), step.uses());
    }

    /** The measurements that the formulas name, and those that these name in turn. */
    private static List<Measurement> needed(
            List<Measurement> all,
            List<PieceRow> pieces,
            List<TrimNeed> trims,
            List<ZipFit> zips,
            List<Strap> straps,
            List<StepRow> steps) {
        Set<String> named = new LinkedHashSet<>();
        Stream.of(
                        pieces.stream().flatMap(p -> Stream.of(p.quantity(), p.width(), p.height())),
                        trims.stream().flatMap(t -> Stream.of(t.quantity(), t.length(), t.turnUnder())),
                        zips.stream()
                                .flatMap(z -> Stream.of(
                                        z.edge(), z.side(), z.clearance(), z.tab(), z.over(), z.covered(), z.slider())),
                        straps.stream().flatMap(s -> Stream.of(s.width(), s.seam(), s.ring(), s.choice())),
                        steps.stream().flatMap(s -> s.prompts().stream().map(PromptRow::mark)))
                .flatMap(Function.identity())
                .forEach(formula -> names(formula).forEach(named::add));
        int before;
        do {
            before = named.size();
            all.stream()
                    .filter(m -> named.contains(m.symbol()))
                    .flatMap(m -> m.values().stream())
                    .flatMap(BlockMerge::names)
                    .toList()
                    .forEach(named::add);
        } while (named.size() > before);
        return all.stream()
                .filter(m -> named.contains(m.symbol()))
                .map(m -> new Measurement(
                        m.symbol(), m.label(), m.kind(), List.of(m.values().get(0)), m.options()))
                .toList();
    }

    private static Stream<String> names(String formula) {
        return NAME.matcher(formula).results().map(MatchResult::group);
    }

    private static Map<String, String> freeLetters(DesignDocument design, BlockDocument block) {
        Set<String> taken = new HashSet<>();
        design.pieces().forEach(p -> taken.add(p.letter()));
        design.panels().forEach(p -> taken.add(p.letter()));
        design.trims().forEach(t -> taken.add(t.letter()));
        Map<String, String> renamed = new LinkedHashMap<>();
        Stream.concat(
                        block.pieces().stream().map(PieceRow::letter),
                        block.trims().stream().map(TrimNeed::letter))
                .forEach(letter -> {
                    String free = taken.contains(letter) ? freeLetter(taken) : letter;
                    taken.add(free);
                    renamed.put(letter, free);
                });
        return renamed;
    }

    private static String freeLetter(Set<String> taken) {
        for (int round = 0; ; round++) {
            for (char c = 'A'; c <= 'Z'; c++) {
                String letter = round == 0 ? String.valueOf(c) : c + String.valueOf(round);
                if (!taken.contains(letter)) {
                    return letter;
                }
            }
        }
    }

    private static Map<String, String> freeKeys(DesignDocument design, BlockDocument block) {
        Set<String> taken = new HashSet<>();
        design.steps().forEach(s -> taken.add(s.key()));
        Map<String, String> renamed = new LinkedHashMap<>();
        block.steps().forEach(step -> {
            String free = step.key();
            for (int i = 2; taken.contains(free); i++) {
                free = step.key() + "-" + i;
            }
            taken.add(free);
            renamed.put(step.key(), free);
        });
        return renamed;
    }

    private static StepRow keyed(StepRow step, Map<String, String> keys, String uses) {
        return step.placed(
                keys.getOrDefault(step.key(), step.key()),
                step.after().stream().map(k -> keys.getOrDefault(k, k)).toList(),
                uses);
    }

    private static PieceRow lettered(PieceRow p, Function<String, String> letter) {
        return new PieceRow(
                letter.apply(p.letter()),
                p.name(),
                p.role(),
                p.slot(),
                p.quantity(),
                p.layers(),
                p.width(),
                p.height(),
                p.shapes(),
                p.edges(),
                p.directional(),
                p.meetsPrint(),
                p.overSelvage(),
                p.fold(),
                p.boxed(),
                p.backs() == null ? null : letter.apply(p.backs()),
                p.trimTo(),
                p.marks());
    }

    private static TrimNeed lettered(TrimNeed t, Function<String, String> letter) {
        return new TrimNeed(
                letter.apply(t.letter()),
                t.name(),
                t.kind(),
                t.slot(),
                t.quantity(),
                t.length(),
                t.turnUnder(),
                t.shortest(),
                t.longest());
    }

    private static ZipFit lettered(ZipFit z, Function<String, String> letter) {
        return new ZipFit(
                letter.apply(z.zip()),
                z.school(),
                z.edge(),
                z.side(),
                z.clearance(),
                z.tab(),
                z.over(),
                z.covered(),
                z.slider());
    }

    private static Strap lettered(Strap s, Function<String, String> letter) {
        return new Strap(
                letter.apply(s.of()),
                s.school(),
                s.width(),
                s.seam(),
                s.ring(),
                s.shortest(),
                s.longest(),
                s.choice(),
                s.schools());
    }

    private static <T> List<T> joined(List<T> own, List<T> more) {
        return Stream.concat(own.stream(), more.stream()).toList();
    }

    /** What the design has, and of the block what it hasn't by the same name. */
    private static <T> List<T> with(List<T> own, List<T> more, Function<T, String> name) {
        Set<String> known = new HashSet<>();
        own.forEach(item -> known.add(name.apply(item)));
        List<T> all = new ArrayList<>(own);
        more.stream().filter(item -> known.add(name.apply(item))).forEach(all::add);
        return all;
    }
}
