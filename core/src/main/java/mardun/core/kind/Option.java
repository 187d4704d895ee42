package mardun.core.kind;

import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** One of the ways that a choice chooses from. */
public enum Option {
    CUT_OUT_FIRST(Choice.CORNERS, "cut out first", "Squares are cut out of the corners before anything is sewn."),
    CUT_OUT_AFTER(Choice.CORNERS, "cut out after", "Squares are cut out once sides and base are sewn."),
    LINE_ACROSS(Choice.CORNERS, "line across", "The corner is laid flat, a line drawn across, sewn and trimmed."),
    SNIPPED(Choice.CORNERS, "snipped", "The corner is snipped to the stitching and opened out to one straight seam."),
    BOXED_AS_ONE(Choice.CORNERS, "both in one", "Outer and lining are boxed in one seam, so the lining can't slip."),

    BASE_SEAM(Choice.BASE, "seam", "Two panels with a seam along the base."),
    BASE_FOLD(Choice.BASE, "fold", "One piece, folded at the base."),

    STRAIGHT_TOP(Choice.TOP, "straight", "The rim runs straight across."),
    V_TOP(Choice.TOP, "V", "A V is cut out of the middle of the rim."),
    GATHERED_TOP(Choice.TOP, "tied", "The neck is gathered with a ribbon."),
    EARED_TOP(Choice.TOP, "ears", "The top ends in two ears that are tied to a bow."),

    FOLDED_TABS(Choice.ZIP_ENDS, "folded tabs", "Folded tabs, clear of the side seams."),
    TUBE_TABS(Choice.ZIP_ENDS, "tube tabs", "Turned tubes slipped over the ends, clear of the side seams."),
    TABS_TO_EDGE(Choice.ZIP_ENDS, "tabs to the edge", "Folded tabs run into the side seams."),
    CAUGHT(Choice.ZIP_ENDS, "caught", "The zip runs into the side seams itself."),

    LINED(Choice.LINING, "same size", "Lining cut and sewn like the outer."),
    LINED_TIGHTER(
            Choice.LINING, "wider seam", "Lining cut like the outer and sewn a little tighter, so it sits smooth."),
    ROLLED_RIM(Choice.LINING, "rolled over", "The lining comes over the rim as a band."),
    UNLINED(Choice.LINING, "none", "One layer; its seams are overlocked."),

    SOFT(Choice.STIFFENING, "none", "Cloth alone."),
    FUSED(Choice.STIFFENING, "fused, smaller", "Fused inside the seam lines, so the seams stay thin."),
    FUSED_TO_EDGE(Choice.STIFFENING, "fused to the edge", "Fused all over and caught in the seams."),
    BASTED(Choice.STIFFENING, "basted in", "Sewn in with the seams, not fused."),
    FOAM(Choice.STIFFENING, "foam", "Foam, cut out of the seams: it stands by itself."),
    QUILTED(Choice.STIFFENING, "quilted", "Quilted to batting over size, then trimmed."),

    NO_POCKET(Choice.POCKET, "none", "Nothing inside."),
    SLIP_POCKET(Choice.POCKET, "slip, divided", "A hemmed pocket, divided evenly."),
    FOLDED_POCKET(Choice.POCKET, "folded lip", "A pocket of double cloth, folded at its lip."),
    ELASTIC_POCKET(Choice.POCKET, "elastic", "Gathered on elastic at its top."),
    ZIP_POCKET(Choice.POCKET, "with zip", "A pocket behind a zip of its own."),

    OPEN(Choice.CLOSING, "open", "Nothing closes it."),
    SNAP(Choice.CLOSING, "snap", "A snap at the middle."),
    MAGNET(Choice.CLOSING, "magnet", "A magnetic snap at the middle."),
    LOCK(Choice.CLOSING, "turn lock", "A turn lock on the flap."),
    TIES(Choice.CLOSING, "ties", "Two ribbons that are tied."),
    DRAWCORD(Choice.CLOSING, "drawcord", "A cord in a casing below the rim."),

    ROUND_FLAP(Choice.FLAP, "round", "Round corners."),
    STRAIGHT_FLAP(Choice.FLAP, "straight", "Straight edges."),
    SLANTED_FLAP(Choice.FLAP, "slanted", "Corners cut off on a slant."),

    PLEATED_SLOTS(Choice.SLOTS, "pleated", "Slots pleated from one strip."),
    STACKED_SLOTS(Choice.SLOTS, "stacked", "Folded pockets, each higher than the one before it."),
    DIVIDED_SLOTS(Choice.SLOTS, "divided", "One pocket along the foot, divided evenly."),

    ONE_CORD(Choice.CORDS, "one", "One cord, out at one side."),
    TWO_CORDS(Choice.CORDS, "two", "Two cords that are pulled against each other."),

    NO_HANDLE(Choice.HANDLES, "none", "No handles."),
    FOUR_FOLD_HANDLES(Choice.HANDLES, "folded in four", "A strip folded in four."),
    TUBE_HANDLES(Choice.HANDLES, "turned tube", "Sewn as a tube and turned."),
    CENTRED_HANDLES(Choice.HANDLES, "edges to centre", "A strip with its edges folded to the centre."),
    WEBBING_HANDLES(Choice.HANDLES, "webbing", "Of webbing."),

    TWO_HANDLES(Choice.HANDLE_COUNT, "two", "One on each face, to be carried in the hand."),
    ONE_HANDLE(Choice.HANDLE_COUNT, "one", "One from side to side, to be carried over the arm."),

    NO_STRAP(Choice.STRAP, "none", "No strap."),
    FOUR_FOLD_STRAP(Choice.STRAP, "folded in four", "A long strap, folded in four."),
    FACED_STRAP(Choice.STRAP, "faced", "A long strap of two strips, turned and topstitched."),
    ONE_LAYER_STRAP(Choice.STRAP, "one layer", "A long strap of one layer of a thick cloth."),
    WEBBING_STRAP(Choice.STRAP, "webbing", "A long strap of webbing."),
    WRIST_STRAP(Choice.STRAP, "wrist loop", "A short loop for the wrist, folded in four."),

    BEADS(Choice.FILLING, "beads", "Glass or ceramic beads, by weight."),
    NUT_SHELLS(Choice.FILLING, "nut shells", "Ground nut shells, by weight: an allergen that is named on the label."),
    WADDING(Choice.FILLING, "wadding", "Loose wadding, by weight."),

    NO_LOOP(Choice.LOOP, "none", "No loop."),
    SIDE_LOOP(Choice.LOOP, "at the side", "A loop caught in the left side seam."),

    FRONT_LABEL(Choice.LABEL, "on the front", "Sewn on the front while it is flat."),
    SEAM_LABEL(Choice.LABEL, "in the seam", "Folded and caught in the side seam."),
    INSIDE_LABEL(Choice.LABEL, "inside", "Sewn on the lining while it is flat."),
    NO_LABEL(Choice.LABEL, "none", "No label.");

    /**
     * What can't be together: a lining that isn't there has no pocket, and can't be boxed with the outer; and of no handles there isn't one.
     */
    private static final Map<Option, Set<Option>> NOT_WITH = Map.of(
            BOXED_AS_ONE, Set.of(UNLINED, LINED_TIGHTER),
            SLIP_POCKET, Set.of(UNLINED),
            FOLDED_POCKET, Set.of(UNLINED),
            ELASTIC_POCKET, Set.of(UNLINED),
            ZIP_POCKET, Set.of(UNLINED),
            INSIDE_LABEL, Set.of(UNLINED),
            QUILTED, Set.of(UNLINED),
            FOAM, Set.of(UNLINED),
            MAGNET, Set.of(UNLINED),
            ONE_HANDLE, Set.of(NO_HANDLE));

    private final Choice choice;
    private final String words;
    private final String sentence;

    Option(Choice choice, String words, String sentence) {
        this.choice = choice;
        this.words = words;
        this.sentence = sentence;
    }

    public Choice choice() {
        return choice;
    }

    public String words() {
        return words;
    }

    /** What it is, for who doesn't know the word. */
    public String sentence() {
        return sentence;
    }

    /** The one of those chosen before that it can't be together with; what is chosen after gives way. */
    public Optional<Option> clashIn(Map<Choice, Option> chosen) {
        return chosen.values().stream()
                .filter(other -> other.choice().compareTo(choice) < 0 && !goesWith(other))
                .findFirst();
    }

    /** Whether a bag can have both. */
    boolean goesWith(Option other) {
        return !NOT_WITH.getOrDefault(this, Set.of()).contains(other)
                && !NOT_WITH.getOrDefault(other, Set.of()).contains(this);
    }
}
