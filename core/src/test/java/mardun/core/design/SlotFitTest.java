package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mardun.core.design.SlotFit.Candidate;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SlotFitTest {

    private static final MaterialSlot ZIP = slot("zip", MaterialKind.TRIM, null);
    private static final MaterialSlot CORD = slot("cord", MaterialKind.TRIM, null);
    private static final MaterialSlot ANY_TRIM = slot("unused", MaterialKind.TRIM, null);
    private static final MaterialSlot SNAP = slot("snap", MaterialKind.NOTION, Ware.SNAP);
    private static final MaterialSlot ANY_NOTION = slot("notion", MaterialKind.NOTION, null);
    private static final MaterialSlot OUTER =
            new MaterialSlot("outer", "Outer", MaterialKind.CLOTH, List.of(ClothKind.CANVAS), Optional.empty());

    private static MaterialSlot slot(String key, MaterialKind kind, Ware ware) {
        return new MaterialSlot(key, key, kind, List.of(), Optional.ofNullable(ware));
    }

    private static final List<MaterialSlot> SLOTS = List.of(ZIP, CORD, ANY_TRIM, SNAP, ANY_NOTION, OUTER);

    private static final Design DESIGN = DesignMaker.empty()
            .trims(
                    TrimNeed.of("Z", "Zip", TrimNeed.Kind.ZIP, "zip", "1", "10 in"),
                    TrimNeed.of("K", "Cord", TrimNeed.Kind.CORD, "cord", "1", "10 in"))
            .make();

    @ParameterizedTest
    @CsvSource({
        "zip,    TRIM,   ZIP_TAPE, false, true",
        "zip,    TRIM,   ELASTIC,  false, false",
        "zip,    TRIM,   ,         false, true",
        "zip,    NOTION, ,         true,  true",
        "zip,    NOTION, SNAP,     false, false",
        "cord,   NOTION, ,         true,  false",
        "cord,   TRIM,   CORD,     false, true",
        "cord,   TRIM,   ZIP_TAPE, false, false",
        "unused, TRIM,   ELASTIC,  false, true",
        "unused, NOTION, ,         true,  false",
        "snap,   NOTION, SNAP,     false, true",
        "snap,   NOTION, MAGNET,   false, false",
        "snap,   NOTION, ,         false, true",
        "snap,   NOTION, ,         true,  false",
        "snap,   TRIM,   CORD,     false, false",
        "notion, NOTION, MAGNET,   false, true",
        "notion, NOTION, ,         true,  false"
    })
    void whatIsOfferedIsWhatTheSlotAsksFor(
            String slot, MaterialKind kind, Ware ware, boolean closedZip, boolean serves) {
        Candidate candidate = new Candidate(kind, Optional.empty(), Optional.ofNullable(ware), closedZip);
        assertThat(SlotFit.serves(DESIGN, find(slot), candidate)).isEqualTo(serves);
    }

    @ParameterizedTest
    @CsvSource({"CANVAS, true", "LINEN, false", ", true"})
    void clothIsOfAKindThatServes(ClothKind cloth, boolean serves) {
        Candidate candidate = new Candidate(MaterialKind.CLOTH, Optional.ofNullable(cloth), Optional.empty(), false);
        assertThat(SlotFit.serves(DESIGN, OUTER, candidate)).isEqualTo(serves);
    }

    private static MaterialSlot find(String key) {
        return SLOTS.stream().filter(slot -> slot.key().equals(key)).findFirst().orElseThrow();
    }
}
