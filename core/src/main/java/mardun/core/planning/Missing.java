package mardun.core.planning;

import java.util.List;
import mardun.core.making.Stage;

/**
 * What a batch goes short of, counting what those get that are due before it. Nothing is laid on material that isn't there: of a
 * batch that goes short of cloth nothing, of one that goes short of something else only the cutting.
 *
 * @param cloths what is cut, by name
 * @param others what is needed after that, by name
 */
public record Missing(List<String> cloths, List<String> others) {

    public static final Missing NOTHING = new Missing(List.of(), List.of());

    public Missing {
        cloths = List.copyOf(cloths);
        others = List.copyOf(others);
    }

    /** Whether what is done at a stage can be laid. */
    public boolean allows(Stage stage) {
        return cloths.isEmpty() && (stage == Stage.CUT || others.isEmpty());
    }
}
