package mardun.app.door;

import jakarta.servlet.http.HttpServletRequest;
import mardun.app.problem.RefusedException;

/** What only the maker at the machine itself may do, and no device that came in by the door. */
public final class AtTheMachine {

    private AtTheMachine() {}

    /** Refuses a request of another device. */
    public static void check(HttpServletRequest request) {
        if (!DoorFilter.isHere(request)) {
            throw RefusedException.conflict("This is done at the machine on which Mardun runs.");
        }
    }
}
