package mardun.core.kind;

import mardun.core.making.SetUp;
import mardun.core.making.Station;

/** What is usually on the machine for a kind of seam. Alike seams have the same set-up, so that they are sewn one after another. */
enum Seam {
    /** Of thin cloth. */
    PLAIN(Station.MACHINE, "80 universal", "matching", "standard foot", "2.5 mm"),
    /** Along a zip. */
    AT_ZIP(Station.MACHINE, "80 universal", "matching", "zip foot", "2.5 mm"),
    /** Seen from outside. */
    TOPSTITCH(Station.MACHINE, "90 topstitch", "topstitch", "standard foot", "3 mm"),
    TOPSTITCH_AT_ZIP(Station.MACHINE, "90 topstitch", "topstitch", "zip foot", "3 mm"),
    /** Of canvas and what is as thick, and of what carries. */
    STRONG(Station.MACHINE, "90 universal", "matching", "standard foot", "3 mm"),
    /** Through batting and foam. */
    THICK(Station.MACHINE, "90 universal", "matching", "walking foot", "4 mm"),
    /** Keeps raw edges from fraying. */
    OVERLOCKED(Station.OVERLOCKER, "90 universal", "matching", "", "overlock");

    private final Station station;
    private final SetUp setUp;

    Seam(Station station, String needle, String thread, String foot, String stitch) {
        this.station = station;
        this.setUp = SetUp.of(needle, thread, foot, stitch);
    }

    Station station() {
        return station;
    }

    SetUp setUp() {
        return setUp;
    }
}
