package mardun.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import mardun.core.design.Source;
import mardun.core.label.TicketWords.Of;
import mardun.core.label.Ticketed.Printed;
import mardun.core.material.Ware;
import org.junit.jupiter.api.Test;

class TicketWordsTest {

    private static final Of CANVAS = new Of("outer cloth", true, "cotton", "wash at 30");
    private static final Of ZIP = new Of("zip", false, "nylon", "wash at 30");

    private static TicketWords words(Of... materials) {
        return TicketWords.of(List.of(materials), Source.OWN, Set.of(), List.of(), false);
    }

    @Test
    void oneFibreOfAllClothsStandsAlone() {
        assertThat(words(CANVAS, new Of("lining", true, "cotton", ""), ZIP).fibre())
                .isEqualTo("cotton");
    }

    @Test
    void differentFibresNameTheirPartsAndAnUnknownOneIsNotTakenForTheOthers() {
        assertThat(words(CANVAS, new Of("lining", true, "linen", ""), new Of("pocket", true, "linen", ""))
                        .fibre())
                .isEqualTo("outer cloth: cotton; lining, pocket: linen");
        assertThat(words(CANVAS, new Of("lining", true, "", "")).fibre()).isEqualTo("outer cloth: cotton");
        assertThat(words(ZIP).fibre()).isEmpty();
    }

    @Test
    void careWordsStandOnce() {
        assertThat(words(CANVAS, ZIP, new Of("lining", true, "", "no dryer")).care())
                .isEqualTo("wash at 30; no dryer");
    }

    @Test
    void theLicencesLineIsTheCredit() {
        Source source = new Source(Source.Licence.FREE_TO_SELL, "somebody", 0, " Pattern by somebody ", List.of());
        assertThat(TicketWords.of(List.of(), source, Set.of(), List.of(), false).credit())
                .isEqualTo("Pattern by somebody");
        assertThat(words(CANVAS).credit()).isEmpty();
    }

    @Test
    void nutShellsAndMagnetsAreAlwaysNamedAndCordsAndSmallPartsForChildren() {
        Set<Ware> wares = Set.of(Ware.MAGNET, Ware.CORD, Ware.SNAP, Ware.ZIP_TAPE);
        assertThat(TicketWords.of(List.of(), Source.OWN, wares, List.of("walnut shells"), false)
                        .warnings())
                .containsExactly(
                        "Filled with walnut shells: nut shells are an allergen.",
                        "Has magnets: keep from small children and from pacemakers.");
        assertThat(TicketWords.of(List.of(), Source.OWN, Set.of(Ware.CORD, Ware.SNAP), List.of("fibre fill"), true)
                        .warnings())
                .containsExactly(
                        "Has a cord or ribbon: keep from small children.",
                        "Has small parts: keep from small children.");
        assertThat(TicketWords.of(List.of(), Source.OWN, Set.of(Ware.WEBBING, Ware.LABEL), List.of(), true)
                        .warnings())
                .isEmpty();
    }

    @Test
    void bagsWearTheTicketsThatWerePrintedLast() {
        assertThat(Ticketed.of(5, List.of())).isEqualTo(new Ticketed(0, 0, 5));
        assertThat(Ticketed.of(5, List.of(new Printed(2, true), new Printed(5, false))))
                .isEqualTo(new Ticketed(2, 3, 0));
        assertThat(Ticketed.of(1, List.of(new Printed(2, true), new Printed(5, false))))
                .isEqualTo(new Ticketed(1, 0, 0));
        assertThat(Ticketed.of(9, List.of(new Printed(2, true), new Printed(5, false)))
                        .toPrint())
                .isEqualTo(7);
    }
}
