package mardun.core.design;

import java.util.LinkedHashMap;
import java.util.Map;

/** The allowance of each edge of a piece, as formulas; {@code fold} is an edge with none, an empty text isn't stated. */
public record Edges(String top, String right, String bottom, String left) {

    public static final Edges UNSTATED = new Edges("", "", "", "");

    public static final String FOLD = "fold";

    /** The same allowance all round. */
    public static Edges all(String allowance) {
        return new Edges(allowance, allowance, allowance, allowance);
    }

    boolean areStated() {
        return !equals(UNSTATED);
    }

    Map<String, String> bySide() {
        Map<String, String> sides = new LinkedHashMap<>();
        sides.put("top", top);
        sides.put("right", right);
        sides.put("bottom", bottom);
        sides.put("left", left);
        return sides;
    }
}
