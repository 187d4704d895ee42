package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;

/** Webbing covered with cloth. */
final class Fobs {

    static final Rule COVER_WIDTH = Rule.named("fob_cover_width")
            .says("A fob's cover is the webbing's width plus a turn on each side.")
            .given("webbing", "width of the webbing")
            .given("turn", "turned under on each side")
            .is("webbing + 2 * turn");

    static final Rule COVER_LENGTH = Rule.named("fob_cover_length")
            .says("A fob's cover is the webbing's length plus a turn at each end.")
            .given("webbing", "length of the webbing")
            .given("turn", "turned under at each end")
            .is("webbing + 2 * turn");

    static final Rule WEBBING_WIDTH = Rule.named("fob_webbing_width")
            .says("A cover fits webbing as wide as the turns leave.")
            .given("cover", "width of the cover")
            .given("turn", "turned under on each side")
            .is("cover - 2 * turn");

    static final Rule WEBBING_LENGTH = Rule.named("fob_webbing_length")
            .says("A cover fits webbing as long as the end turns leave.")
            .given("cover", "length of the cover")
            .given("turn", "turned under at each end")
            .is("cover - 2 * turn");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.FOB, "cover, width", COVER_WIDTH, WEBBING_WIDTH),
            Construction.of(Subject.FOB, "cover, length", COVER_LENGTH, WEBBING_LENGTH));

    private Fobs() {}
}
