package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import mardun.core.design.BagParts.Belongings;
import mardun.core.kind.Brief;
import mardun.core.kind.Choice;
import mardun.core.kind.Drafting;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class BagPartsTest {

    private static Design drafted(Kind kind, Map<Choice, Option> chosen) {
        return Drafting.of(new Brief(kind, "Sorted", Known.FINISHED, chosen, Map.of(), UnitSystem.METRIC, "1 cm"))
                .design();
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void putsEverythingIntoExactlyOnePart(Kind kind) {
        Random random = new Random(kind.ordinal());
        for (int i = 0; i < 12; i++) {
            Map<Choice, Option> chosen = new EnumMap<>(Choice.class);
            kind.offers().forEach((choice, options) -> chosen.put(choice, options.get(random.nextInt(options.size()))));
            Design design = drafted(kind, chosen);

            Map<BagPart, Belongings> parts = BagParts.of(design);

            assertThat(parts.values().stream().flatMap(its -> its.letters().stream()))
                    .as("%s", chosen)
                    .containsExactlyInAnyOrderElementsOf(Stream.concat(
                                    design.pieces().stream().map(Piece::letter),
                                    design.trims().stream().map(TrimNeed::letter))
                            .toList());
            assertThat(parts.values().stream().flatMap(its -> its.symbols().stream()))
                    .containsExactlyInAnyOrderElementsOf(design.measurements().stream()
                            .map(Measurement::symbol)
                            .toList());
            assertThat(parts.values().stream().flatMap(its -> its.slots().stream()))
                    .containsAll(design.slots().stream()
                            .map(MaterialSlot::key)
                            .filter(key -> uses(design, key))
                            .toList());
        }
    }

    private static boolean uses(Design design, String slot) {
        return Stream.of(
                        design.pieces().stream().map(Piece::slot),
                        design.trims().stream().map(TrimNeed::slot),
                        design.notions().stream().map(NotionNeed::slot),
                        design.fillings().stream().map(FillingNeed::slot))
                .flatMap(keys -> keys)
                .anyMatch(slot::equals);
    }

    @Test
    void keepsWhatOnlyTheHandlesAreMeasuredByWithTheHandles() {
        Design tote = drafted(
                Kind.BOXED_TOTE, Map.of(Choice.HANDLES, Option.FOUR_FOLD_HANDLES, Choice.POCKET, Option.SLIP_POCKET));

        Map<BagPart, Belongings> parts = BagParts.of(tote);

        assertThat(parts.get(BagPart.STRAPS).letters()).isNotEmpty();
        assertThat(labels(tote, parts.get(BagPart.STRAPS)))
                .isNotEmpty()
                .allSatisfy(label -> assertThat(label.toLowerCase(Locale.ROOT)).contains("handle"));
        assertThat(labels(tote, parts.get(BagPart.POCKETS)))
                .containsExactlyInAnyOrder(
                        "Pocket, finished width", "Pocket, finished height", "Hem of the pocket", "Compartments");
        assertThat(labels(tote, parts.get(BagPart.BODY))).contains("Height");
    }

    @Test
    void countsTheZipOfAPocketAmongThePockets() {
        Design tote = drafted(Kind.BOXED_TOTE, Map.of(Choice.POCKET, Option.ZIP_POCKET));
        Design pouch = drafted(Kind.BOXED_POUCH, Map.of(Choice.POCKET, Option.ZIP_POCKET));

        assertThat(BagParts.of(tote).get(BagPart.ZIP).letters()).isEmpty();
        assertThat(zips(tote, BagParts.of(tote).get(BagPart.POCKETS))).containsExactly("Zip of the pocket");
        assertThat(zips(pouch, BagParts.of(pouch).get(BagPart.ZIP))).hasSize(1).doesNotContain("Zip of the pocket");
    }

    private static List<String> zips(Design design, Belongings its) {
        return design.trims().stream()
                .filter(trim ->
                        trim.kind() == TrimNeed.Kind.ZIP && its.letters().contains(trim.letter()))
                .map(TrimNeed::name)
                .toList();
    }

    private static List<String> labels(Design design, Belongings its) {
        return design.measurements().stream()
                .filter(row -> its.symbols().contains(row.symbol()))
                .map(Measurement::label)
                .toList();
    }
}
