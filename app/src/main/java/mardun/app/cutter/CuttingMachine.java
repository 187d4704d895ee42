package mardun.app.cutter;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mardun.core.nesting.MatSize;

/**
 * A machine that cuts shapes out of cloth on a mat. The one that ships with Mardun is simulated; a driver for a real one implements this.
 *
 * <p>Each mat that is to be cut has a key. A machine that is given one again that it has cut, or is cutting, cuts no second one, so that a
 * mat whose answer was lost can be sent once more.
 */
public interface CuttingMachine {

    /** Why it doesn't cut. */
    enum Trouble {
        OFFLINE("The cutting machine is offline. Switch it on, or look at its cable, and send the mat again."),
        NO_MAT("No mat is in the machine. Stick the cloth on one, lay it in, and send it again."),
        BUSY("The machine still has another mat in it. Wait until it is cut, take it out, and send this one again."),
        JAM("The blade is caught in the cloth. Lift it, smooth the cloth, and go on: what is cut isn't cut again.");

        private final String sentence;

        Trouble(String sentence) {
            this.sentence = sentence;
        }

        /** What happened and what to do. */
        public String sentence() {
            return sentence;
        }
    }

    /** What it is doing. */
    enum Doing {
        /** Nothing: no mat is in it. */
        EMPTY,
        /** Nothing: a mat is in it, and none was sent. */
        READY,
        CUTTING,
        /** The blade is caught. */
        JAMMED,
        /** The mat is full and cut: it is taken out, and the next one laid in. */
        DONE,
        OFFLINE
    }

    /**
     * How far it is.
     *
     * @param title of the mat that was sent last; empty for none
     * @param done how many of its pieces are cut
     * @param pieces how many there are on it
     */
    record State(Doing doing, String key, String title, int done, int pieces) {}

    /** A mat that it takes. */
    record Mat(String key, MatSize size) {}

    /** The mats that it takes, the smallest first. */
    List<Mat> mats();

    /** How far apart shapes lie at least, in millimetres. */
    double gap();

    /** Begins to cut a mat; empty once it has begun or has cut it. */
    Optional<Trouble> cut(MatJob job);

    State state();

    /** How fast its blade goes, in millimetres a second. */
    double pace();

    /** Which of some mats it has cut, by their keys. */
    Set<String> cut(Collection<String> keys);
}
