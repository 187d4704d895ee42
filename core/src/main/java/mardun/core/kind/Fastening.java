package mardun.core.kind;

import java.util.Locale;
import mardun.core.design.Mark;
import mardun.core.design.Role;
import mardun.core.design.TrimNeed;
import mardun.core.material.ClothKind;
import mardun.core.material.Ware;

/** Snaps, magnets, locks and ties. */
final class Fastening {

    private static final String BACKING = "G";

    private Fastening() {}

    /** Whether something is set into the cloth. */
    static boolean isSet(Draft draft) {
        return draft.hasAny(Option.SNAP, Option.MAGNET, Option.LOCK);
    }

    /** At the middle of an open rim: one half on each face, on what is inside. */
    static void atRim(Draft draft, Body body) {
        draft.about(Choice.CLOSING, () -> halvesAtRim(draft, body));
    }

    private static void halvesAtRim(Draft draft, Body body) {
        if (!isSet(draft)) {
            return;
        }
        draft.allowance("snapDown", "Fastener below the rim", "1 1/4 in", "3 cm");
        String on = body.isLined() ? Body.LINING : Body.OUTER;
        String below = "top + snapDown";
        String other = body.isFolded() ? "piece_height - top - snapDown" : below;
        mark(draft, on, below, Mark.Half.SOCKET, Mark.Closing.AS_IT_LIES);
        mark(draft, on, other, Mark.Half.STUD, Mark.Closing.AS_IT_LIES);
        set(draft, on, on);
    }

    /**
     * On a flap that lies down on a face.
     *
     * @param face the letter of the piece under the flap
     * @param down formula of how far below the face's raw top its half sits
     * @param flap the letter of the flap's inside
     * @param flapDown formula of how far below the flap's raw top its half sits
     */
    static void onFlap(Draft draft, String face, String down, String flap, String flapDown) {
        if (isSet(draft)) {
            mark(draft, face, down, Mark.Half.STUD, Mark.Closing.FLAP_OVER);
            mark(draft, flap, flapDown, Mark.Half.SOCKET, Mark.Closing.FLAP_OVER);
            set(draft, face, flap);
        }
    }

    /** Two ribbons caught in a seam. */
    static void ties(Draft draft, String inch, String metric) {
        draft.about(Choice.CLOSING, () -> twoTies(draft, inch, metric));
    }

    private static void twoTies(Draft draft, String inch, String metric) {
        if (draft.has(Option.TIES)) {
            draft.finished("tie", "Tie, length", inch, metric);
            draft.ware("ribbon", "Ribbon", Ware.RIBBON);
            draft.trim("R", "Tie", TrimNeed.Kind.RIBBON, "ribbon", 2, "tie");
        }
    }

    private static String name(Draft draft) {
        if (draft.has(Option.SNAP)) {
            return "Snap";
        }
        return draft.has(Option.MAGNET) ? "Magnetic snap" : "Turn lock";
    }

    private static void mark(Draft draft, String on, String down, Mark.Half half, Mark.Closing closing) {
        String middle = draft.usual("0 in", "0 cm");
        draft.piece(on)
                .marked(Mark.at(Mark.Kind.HARDWARE, name(draft).toLowerCase(Locale.ROOT), Mark.From.RAW, middle, down)
                        .measuredFrom(Mark.AcrossFrom.CENTRE, Mark.DownFrom.TOP)
                        .halfOf("fastener", half)
                        .closing(closing));
    }

    private static void set(Draft draft, String one, String other) {
        if (draft.has(Option.SNAP)) {
            draft.ware("snap", "Snap", Ware.SNAP);
            draft.halves("Snap", "snap");
        } else if (draft.has(Option.MAGNET)) {
            draft.ware("magnet", "Magnetic snap", Ware.MAGNET);
            draft.halves("Magnetic snap", "magnet");
        } else {
            draft.ware("lock", "Turn lock", Ware.LOCK);
            draft.notion("Turn lock", "lock", 1);
        }
        draft.cloth("interfacing", "Interfacing", ClothKind.FUSIBLE);
        String size = draft.usual("2 in", "5 cm");
        draft.piece(BACKING, "Backing of the fastener", Role.INTERFACING, "interfacing", 2, size, size);
        Draft.Sewing set = draft.atTable(
                        "closing", "Back and set the " + name(draft).toLowerCase(Locale.ROOT))
                .takes(3, 5)
                .check("Halves face each other when the bag is closed; prongs through the backing.")
                .caution(
                        draft.has(Option.MAGNET)
                                ? "Pierce on a board, not on the hand. Magnets: not for small children, keep away from"
                                        + " pacemakers."
                                : "Pierce on a board, not on the hand.")
                .after("stiffen", "pocket", "cut")
                .uses(one)
                .uses(BACKING)
                .gate("Both halves marked, facing each other");
        if (!other.equals(one)) {
            set.uses(other);
        }
    }
}
