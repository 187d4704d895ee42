package mardun.core.kind;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What a kind offers, choice after choice in the order in which it is asked. */
final class Offers {

    private final Map<Choice, List<Option>> offers = new LinkedHashMap<>();

    /** The options of a choice, the usual one first. */
    Offers of(Option usual, Option... others) {
        return of(Stream.concat(Stream.of(usual), Arrays.stream(others)).toList());
    }

    Offers of(List<Option> options) {
        offers.put(options.get(0).choice(), options);
        return this;
    }

    Offers corners() {
        return of(Option.CUT_OUT_FIRST, Option.CUT_OUT_AFTER, Option.LINE_ACROSS, Option.SNIPPED, Option.BOXED_AS_ONE);
    }

    Offers base() {
        return of(Option.BASE_SEAM, Option.BASE_FOLD);
    }

    Offers zipEnds() {
        return of(Option.FOLDED_TABS, Option.TUBE_TABS, Option.TABS_TO_EDGE, Option.CAUGHT);
    }

    /** Every stiffening, this one usually. */
    Offers stiffening(Option usual) {
        return usually(usual, Choice.STIFFENING.options());
    }

    Offers pocket() {
        return of(InsidePocket.all());
    }

    Offers handles() {
        return of(Carrying.handles()).of(Option.TWO_HANDLES, Option.ONE_HANDLE);
    }

    Offers label() {
        return of(Labels.all());
    }

    Offers loop() {
        return of(Option.NO_LOOP, Option.SIDE_LOOP);
    }

    private Offers usually(Option usual, List<Option> all) {
        return of(Stream.concat(Stream.of(usual), all.stream().filter(option -> option != usual))
                .toList());
    }

    Map<Choice, List<Option>> all() {
        return offers;
    }
}
