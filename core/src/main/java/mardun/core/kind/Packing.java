package mardun.core.kind;

/** The end of every bag. */
final class Packing {

    private Packing() {}

    static void pack(Draft draft, String check) {
        draft.finishing("pack", "Press, inspect, pack")
                .takes(1.5, 5)
                .check(check)
                .after("close", "turned", "rim", "hem", "cord", "join", "fill", "box", "round");
    }
}
