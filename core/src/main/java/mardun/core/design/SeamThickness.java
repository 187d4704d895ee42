package mardun.core.design;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.core.making.Step;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** How much lies under the foot in a step: the usual thickness of all that goes through, with its layers. */
public final class SeamThickness {

    private final Letters letters;

    SeamThickness(Letters letters) {
        this.letters = letters;
    }

    /** Of each step at a machine that sews, by its key. */
    public static Map<String, Length> of(Design design, SizedDesign sized) {
        SeamThickness thickness = new SeamThickness(new Letters(design, sized));
        return design.steps().stream().collect(Collectors.toMap(Step::key, thickness::of, Length::max));
    }

    /** Of one step; nothing where it isn't sewn. */
    Length of(Step step) {
        Length thickness = Length.ZERO;
        if (step.station().sews()) {
            for (Step.Use use : step.uses()) {
                thickness = thickness.plus(of(use.letter()).times(use.layers()));
            }
        }
        return thickness;
    }

    private Length of(String letter) {
        Optional<Length> cloth =
                letters.cloths(letter).map(ClothKind::thickness).reduce(Length::max);
        return cloth.or(() ->
                        letters.sized().trim(letter).map(trim -> of(trim.trim().kind())))
                .orElse(Length.ZERO);
    }

    /** How thick a trim usually is under the foot. */
    private static Length of(TrimNeed.Kind kind) {
        int tenths = switch (kind) {
            case ZIP -> 8;
            case WEBBING -> 15;
            case CORD -> 30;
            case RIBBON -> 3;
            case ELASTIC -> 10;
            case BINDING -> 5;
            case STIFFENER -> 10;
        };
        return Length.of(tenths, 10, LengthUnit.MILLIMETRE);
    }
}
