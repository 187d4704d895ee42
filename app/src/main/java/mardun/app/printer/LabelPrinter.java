package mardun.app.printer;

import java.util.Optional;

/**
 * A printer for single labels. One that ships with Mardun is simulated; a driver for a real one implements this.
 *
 * <p>Each label has a key. A printer that is given a label again that has come out already gives no second one, so that a label whose
 * answer was lost can be asked for once more.
 */
public interface LabelPrinter {

    /** Why nothing comes out. */
    enum Trouble {
        OFFLINE("The label printer is offline. Switch it on, or look at its cable, and go on."),
        NO_LABELS("The label printer is out of labels. Put a roll in, and go on."),
        JAM("A label is stuck in the printer. Take it out, and go on: it is printed anew.");

        private final String sentence;

        Trouble(String sentence) {
            this.sentence = sentence;
        }

        /** What happened and what to do. */
        public String sentence() {
            return sentence;
        }
    }

    /** Prints a label; empty once it has come out whole. */
    Optional<Trouble> print(PrintedLabel label);
}
