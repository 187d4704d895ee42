package mardun.core.design;

import static mardun.core.design.DesignMaker.marked;
import static mardun.core.design.DesignMaker.shaped;
import static mardun.core.design.DesignMaker.step;
import static mardun.core.design.DesignMaker.use;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.SideEdge;
import mardun.core.construction.StrapSchool;
import mardun.core.construction.ZipSchool;
import mardun.core.design.Mark.From;
import mardun.core.design.Mark.Half;
import mardun.core.design.Measurement.Kind;
import mardun.core.making.Station;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Value;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each check finds what it is for, at its place, and leaves a sound design alone. */
class DesignChecksTest {

    private static final int MEDIUM = 1;

    private static DesignMaker pouch() {
        return DesignMaker.from(Pouch.design());
    }

    private static Finding only(Check check, DesignMaker maker) {
        List<Finding> findings = Sizing.of(maker.make(), maker.make().sizes().size() - 1).findings().stream()
                .filter(f -> f.check().equals(Optional.of(check)))
                .toList();
        assertThat(findings).as(check.title()).hasSize(1);
        assertThat(findings.get(0).isRefused()).isFalse();
        return findings.get(0);
    }

    private static void nothing(DesignMaker maker) {
        assertThat(Sizing.of(maker.make(), maker.make().sizes().size() - 1).findings())
                .isEmpty();
    }

    @Test
    void aPieceThatNoStepUses() {
        DesignMaker maker = pouch().steps(step(
                "all", Station.MACHINE, "", List.of(), use("A", 1), use("B", 1), use("C", 1), use("Z", 1)));
        assertThat(only(Check.PIECE_UNUSED, maker).place()).isEqualTo("pieces.D");
        nothing(maker.steps(step("tabs", Station.MACHINE, "", List.of(), use("D", 1))));
    }

    @ParameterizedTest
    @CsvSource({"9 1/2 in, true", "9 9/16 in, true", "9 in, false", "11 in, false"})
    void aZipThatDoesntFitItsSeam(String zip, boolean fits) {
        DesignMaker maker = pouch().trims(TrimNeed.of("Z", "Zip", TrimNeed.Kind.ZIP, "zip", "1", zip))
                .zips(new ZipFit(
                        "Z",
                        ZipSchool.INSET,
                        "panel_width(width; depth; seam)",
                        "seam",
                        "1/4 in",
                        "",
                        "",
                        "1/2 in",
                        "3/4 in"));
        if (fits) {
            nothing(maker);
        } else {
            assertThat(only(Check.ZIP_FIT, maker).place()).isEqualTo("trims.Z");
        }
    }

    @Test
    void anOpeningIsWhatTabsAndSliderLeave() {
        DesignMaker maker =
                pouch().zips(new ZipFit("Z", ZipSchool.FULL_LENGTH, "9 1/2 in", "", "", "", "", "2 1/2 in", "1 in"));
        assertThat(only(Check.OPENING, maker).what().words()).contains("too little for a hand");
        assertThat(Sizing.of(maker.make(), MEDIUM).openings().get("Z").value())
                .isEqualTo(Quantity.of(Length.of(7, 2, LengthUnit.INCH)));
    }

    private static DesignMaker strap(StrapSchool school, String strip, String width, String ring) {
        return DesignMaker.empty()
                .pieces(Piece.of("S", "Strap", Role.STRAP, "outer", "1", strip, "40 in"))
                .straps(new Strap("S", school, width, "1/4 in", ring, "30 in", "45 in", "", List.of()));
    }

    @ParameterizedTest
    @CsvSource({
        "FOUR_FOLD, 4 in, 1 in, 1 in",
        "TUBE, 2 1/2 in, 1 in, 1 1/8 in",
        "EDGES_TO_CENTRE, 2 in, 1 in, ''",
        "ONE_LAYER, 1 in, 1 in, 1 1/4 in",
        "FACED, 1 1/2 in, 1 in, 1 in"
    })
    void aStrapThatFits(StrapSchool school, String strip, String width, String ring) {
        nothing(strap(school, strip, width, ring));
    }

    private static DesignMaker strapByCloth(String cloth, List<StrapSchool> schools) {
        return DesignMaker.empty()
                .measured(new Measurement(
                        "cloth", "Cloth", Measurement.Kind.CHOICE, List.of(cloth), List.of("thin", "thick")))
                .pieces(Piece.of(
                        "S", "Strap", Role.STRAP, "outer", "1", "pick(cloth; strap_four_fold(1 in); 1 in)", "40 in"))
                .straps(new Strap("S", StrapSchool.TUBE, "1 in", "", "", "", "", "cloth", schools));
    }

    @Test
    void aStrapIsMadeAsAChoiceSays() {
        List<StrapSchool> byCloth = List.of(StrapSchool.FOUR_FOLD, StrapSchool.ONE_LAYER);
        nothing(strapByCloth("thin", byCloth));
        nothing(strapByCloth("thick", byCloth));
        assertThat(only(Check.STRAP_WIDTH, strapByCloth("thick", List.of(StrapSchool.ONE_LAYER, StrapSchool.TUBE)))
                        .what()
                        .words())
                .contains("sewn as a tube");
    }

    @Test
    void aChoiceHasAWayForEachOfItsOptions() {
        DesignMaker maker = strapByCloth("thick", List.of(StrapSchool.FOUR_FOLD));
        assertThat(Sizing.of(maker.make(), 0).findings())
                .filteredOn(Finding::isRefused)
                .extracting(Finding::place)
                .containsExactly("straps.S.choice");
    }

    @Test
    void whatASizeTakesNoneOfLeavesNoThicknessAndNeedsNoNeedle() {
        DesignMaker maker = DesignMaker.empty()
                .cloth("outer", ClothKind.QUILTING_COTTON)
                .cloth("foam", ClothKind.FOAM)
                .pieces(
                        Piece.of("A", "Panel", Role.OUTER, "outer", "1", "9 in", "9 in"),
                        Piece.of("F", "Foam", Role.INTERFACING, "foam", "0", "9 in", "9 in"))
                .trims(TrimNeed.of("W", "Webbing", TrimNeed.Kind.WEBBING, "webbing", "0", "9 in"))
                .steps(step("s", Station.MACHINE, "80", List.of(), use("A", 2), use("F", 4), use("W", 6)));
        nothing(maker);
    }

    @Test
    void aStrapOfTheWrongWidthOrOutsideItsRangeOrItsRing() {
        assertThat(only(Check.STRAP_WIDTH, strap(StrapSchool.FOUR_FOLD, "3 in", "1 in", ""))
                        .place())
                .isEqualTo("pieces.S");
        assertThat(only(Check.STRAP_RING, strap(StrapSchool.FOUR_FOLD, "4 in", "1 in", "3/4 in"))
                        .what()
                        .words())
                .contains("doesn't go through");
        assertThat(only(Check.STRAP_RING, strap(StrapSchool.FOUR_FOLD, "4 in", "1 in", "2 in"))
                        .what()
                        .words())
                .contains("slips about");
        assertThat(only(
                                Check.STRAP_RANGE,
                                strap(StrapSchool.FOUR_FOLD, "4 in", "1 in", "")
                                        .piece("S", p -> DesignMaker.sized(p, "4 in", "25 in")))
                        .what()
                        .words())
                .contains("shorter than");
    }

    @Test
    void aTrimOutsideItsOwnRange() {
        DesignMaker maker = DesignMaker.empty()
                .trims(new TrimNeed(
                        "W", "Webbing", TrimNeed.Kind.WEBBING, "webbing", "1", "40 in", "2 in", "30 in", "42 in"));
        assertThat(only(Check.STRAP_RANGE, maker).what().words()).contains("longer than");
    }

    @ParameterizedTest
    @CsvSource({
        "1 in, 5 in,     SEAM, true",
        "1 in, 6 3/4 in, SEAM, false",
        "2 in, 6 3/4 in, SEAM, true",
        "8 in, 6 in,     SEAM, true",
        "8 in, 6 3/4 in, SEAM, false",
        "1 in, 5 in,     FOLD, false",
        "2 in, 5 in,     FOLD, true"
    })
    void aPocketUnderABoxedCorner(String across, String bottom, BaseEdge base, boolean clear) {
        Mark pocket = Mark.at(Mark.Kind.POCKET, "Card pocket", From.RAW, across, "3 in")
                .sized("2 in", bottom + " - 3 in");
        DesignMaker maker =
                pouch().form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, base)).piece("A", p -> marked(p, pocket));
        assertThat(Sizing.of(maker.make(), MEDIUM).findings().stream()
                        .noneMatch(f -> f.check().equals(Optional.of(Check.POCKET_CLEAR))))
                .isEqualTo(clear);
    }

    /** 22 in between the seams: folded at 11 1/2 in, or with its sides at 6 and 17 in; boxing takes 1 1/2 in beside each. */
    @ParameterizedTest
    @CsvSource({
        "11 in, 9 in, ONE_FOLD,  false",
        "4 in,  9 in, ONE_FOLD,  true",
        "11 in, 7 in, ONE_FOLD,  true",
        "1 in,  9 in, ONE_FOLD,  false",
        "5 in,  9 in, BACK_SEAM, false",
        "1 in,  9 in, BACK_SEAM, true",
        "16 in, 9 in, BACK_SEAM, false",
        "11 in, 9 in, BACK_SEAM, true"
    })
    void aPocketUnderACornerOfOnePiece(String across, String bottom, SideEdge sides, boolean clear) {
        Mark pocket = Mark.at(Mark.Kind.POCKET, "Card pocket", From.RAW, across, "3 in")
                .sized("2 in", bottom + " - 3 in");
        BoxedBag bag = new BoxedBag(
                BoxingSchool.CUT_BEFORE_SEWING,
                BaseEdge.SEAM,
                Optional.of("A"),
                Optional.empty(),
                "3 in",
                "1/2 in",
                "1/2 in",
                "1/2 in",
                "1/2 in",
                "",
                "",
                Optional.empty(),
                sides);
        DesignMaker maker = DesignMaker.empty()
                .form(bag)
                .pieces(DesignMaker.boxed(Piece.of("A", "Round", Role.OUTER, "outer", "1", "23 in", "10 in"), false))
                .piece("A", p -> marked(p, pocket));
        assertThat(Sizing.of(maker.make(), 0).findings().stream()
                        .noneMatch(f -> f.check().equals(Optional.of(Check.POCKET_CLEAR))))
                .isEqualTo(clear);
    }

    @Test
    void aPocketAcrossAZip() {
        Panel face = new Panel(
                "P",
                "Face",
                Panel.Direction.DOWN,
                List.of(new Panel.Part("A", ""), new Panel.Part("Z", "3/8 in"), new Panel.Part("B", "")),
                "1/4 in",
                Optional.empty(),
                List.of(Mark.at(Mark.Kind.POCKET, "Slip pocket", From.RAW, "2 in", "7 in")
                        .sized("4 in", "3 in")));
        Finding finding = only(Check.POCKET_CLEAR, pouch().panels(face));
        assertThat(finding.place()).isEqualTo("panels.P.marks.Slip pocket");
        assertThat(finding.what().words()).contains("across a zip");
    }

    @ParameterizedTest
    @CsvSource({
        "1 1/4 in, 1 1/4 in, 1 7/8 in, ''",
        "1 in,     1 in,     1 7/8 in, CASING_HEIGHT",
        "1 1/4 in, 1 in,     1 7/8 in, CASING_GAP",
        "1 1/4 in, 1 1/4 in, 1 1/2 in, CASING_GAP"
    })
    void aCasingForItsCord(String height, String gap, String from, String check) {
        DesignMaker maker = DesignMaker.empty()
                .casings(new Casing("Casing", height, false, "1 in", "1/4 in", gap, from, "1 1/2 in", "3/8 in"));
        if (check.isEmpty()) {
            nothing(maker);
        } else {
            Finding finding = only(Check.valueOf(check), maker);
            assertThat(finding.what().words().contains("The top seam was forgotten"))
                    .isEqualTo(from.equals("1 1/2 in"));
        }
    }

    @ParameterizedTest
    @CsvSource({"1 1/4 in, 1 in, true", "1 1/4 in, 1 1/4 in, false", "1 in, 1 in, false", "2 in, 1 in, false"})
    void aSquareCutOutAtAFold(String across, String along, boolean right) {
        Shape shape = new Shape(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, across, along);
        DesignMaker maker = pouch().form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.FOLD))
                .piece("A", p -> shaped(p, shape));
        if (right) {
            assertThat(Sizing.of(maker.make(), MEDIUM).findings())
                    .noneMatch(f -> f.check().equals(Optional.of(Check.CORNER_CUT)));
        } else {
            Finding finding = only(Check.CORNER_CUT, maker);
            assertThat(finding.what().words().contains("unequal")).isEqualTo(across.equals(along));
        }
    }

    private static DesignMaker snaps(String first, String second, Half one, Half other) {
        return pouch().piece(
                        "A",
                        p -> marked(
                                p,
                                Mark.at(Mark.Kind.HARDWARE, "Snap", From.FINISHED, first, "1 in")
                                        .halfOf("snap", one)))
                .piece(
                        "B",
                        p -> marked(
                                p,
                                Mark.at(Mark.Kind.HARDWARE, "Snap", From.FINISHED, second, "1 in")
                                        .halfOf("snap", other)));
    }

    @Test
    void snapHalvesFaceEachOtherWhenTheyMirror() {
        nothing(snaps("3 in", "7 1/2 in", Half.SOCKET, Half.STUD));
        assertThat(only(Check.HALVES_FACE, snaps("3 in", "3 in", Half.SOCKET, Half.STUD))
                        .what()
                        .words())
                .contains("miss each other");
        assertThat(only(Check.HALVES_FACE, snaps("3 in", "7 1/2 in", Half.SOCKET, Half.SOCKET))
                        .remedy()
                        .words())
                .contains("one of each");
    }

    @ParameterizedTest
    @CsvSource({"5 1/4 in, 7 in, true", "5 1/4 in, 6 in, false", "4 in, 7 in, false"})
    void halvesOnOnePieceMeetOverItsFold(String across, String down, boolean meet) {
        DesignMaker maker = pouch().form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.FOLD))
                .piece(
                        "A",
                        p -> marked(
                                p,
                                Mark.at(Mark.Kind.HARDWARE, "Snap", From.RAW, "5 1/4 in", "1 in")
                                        .halfOf("snap", Half.SOCKET),
                                Mark.at(Mark.Kind.HARDWARE, "Snap", From.RAW, across, down)
                                        .halfOf("snap", Half.STUD)));
        assertThat(Sizing.of(maker.make(), MEDIUM).findings().stream()
                        .noneMatch(f -> f.check().equals(Optional.of(Check.HALVES_FACE))))
                .isEqualTo(meet);
    }

    private static DesignMaker sewn(Station station, String needle, ClothKind cloth, int layers) {
        return DesignMaker.empty()
                .pieces(Piece.of("A", "Face", Role.OUTER, "outer", "2", "10 in", "8 in"))
                .cloth("outer", cloth)
                .steps(step("s", station, needle, List.of(), use("A", layers)));
    }

    @ParameterizedTest
    @CsvSource({
        "PRESS,   '',               LEATHER_LIKE,    1, IRON",
        "PRESS,   '',               CORK,            1, IRON",
        "PRESS,   '',               CANVAS,          1, ''",
        "MACHINE, 70 universal,     CANVAS,          1, NEEDLE",
        "MACHINE, 100/16 denim,     QUILTING_COTTON, 1, NEEDLE",
        "MACHINE, 90/14 universal,  CANVAS,          1, ''",
        "MACHINE, universal,        CANVAS,          1, ''",
        "MACHINE, 90,               CANVAS,          9, BULK",
        "MACHINE, 90,               CANVAS,          8, ''",
        "MACHINE, 100,              FOAM,            3, BULK"
    })
    void whatAStepDoesToItsCloth(Station station, String needle, ClothKind cloth, int layers, String check) {
        DesignMaker maker = sewn(station, needle, cloth, layers);
        if (check.isEmpty()) {
            nothing(maker);
        } else {
            assertThat(only(Check.valueOf(check), maker).place()).isEqualTo("steps.s");
        }
    }

    @Test
    void theClothThatReallyFillsASlotCounts() {
        Design design = sewn(Station.PRESS, "", ClothKind.CANVAS, 1).make();
        assertThat(Sizing.of(design, 0).findings()).isEmpty();
        assertThat(Sizing.of(design.with(Map.of("outer", ClothKind.LAMINATE)), 0)
                        .findings())
                .hasSize(1);
    }

    @Test
    void aStrongerMachineSewsMore() {
        Design design = sewn(Station.MACHINE, "90", ClothKind.CANVAS, 9).make();
        assertThat(Sizing.of(design, 0, Length.of(8, LengthUnit.MILLIMETRE)).findings())
                .isEmpty();
    }

    @Test
    void aStepBeforeWhatItNeeds() {
        DesignMaker maker = DesignMaker.empty()
                .steps(
                        step("close", Station.MACHINE, "", List.of("label")),
                        step("label", Station.MACHINE, "", List.of()));
        assertThat(only(Check.STEP_ORDER, maker).place()).isEqualTo("steps.close");
    }

    @Test
    void aChildrensBagWithACord() {
        DesignMaker maker = DesignMaker.empty()
                .trims(TrimNeed.of("K", "Cord", TrimNeed.Kind.CORD, "cord", "2", "40 in"))
                .trims(TrimNeed.of("E", "Elastic", TrimNeed.Kind.ELASTIC, "elastic", "1", "10 in"));
        nothing(maker);
        Finding finding = only(Check.CHILDREN, maker.forChildren());
        assertThat(finding.place()).isEqualTo("trims.K");
        assertThat(finding.remedy().words()).contains("check your local product-safety rules");
    }

    @Test
    void trimmedToMoreThanWasCut() {
        DesignMaker maker = pouch().piece("D", p -> DesignMaker.trimmedTo(p, "1 in", "4 in"));
        assertThat(only(Check.TRIM_TO, maker).place()).isEqualTo("pieces.D.trimTo");
        nothing(pouch().piece("D", p -> DesignMaker.trimmedTo(p, "1 in", "3 in")));
    }

    @Test
    void aLiningThatRollsOverTheRimIsTallerByTwiceTheBand() {
        BoxedBag flat = Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.SEAM);
        BoxedBag rolled = new BoxedBag(
                flat.school(),
                flat.base(),
                flat.outer(),
                flat.lining(),
                "depth",
                "seam",
                "seam",
                "seam",
                "seam",
                "",
                "1/2 in");
        DesignMaker taller = pouch().form(rolled)
                .piece("B", p -> DesignMaker.sized(p, p.width(), "lining_rolled(" + p.height() + "; 1/2 in)"));
        nothing(taller);
        assertThat(only(Check.PANELS_MATCH, pouch().form(rolled)).place()).isEqualTo("form.lining");
    }

    /** Cut alike it sits inside without creases, cut as much larger as its seams are wider it fills the outer. */
    @ParameterizedTest
    @CsvSource({
        "seam + 1/8 in, 0 in,     true",
        "seam + 1/8 in, 1/4 in,   true",
        "seam + 1/8 in, 1/8 in,   true",
        "seam + 1/8 in, 1/2 in,   false",
        "seam + 1/8 in, 0 in - 1/4 in, false",
        "'',            1/4 in,   false"
    })
    void aLiningMayBeSewnWithWiderSeams(String seam, String wider, boolean fits) {
        DesignMaker maker = pouch().liningSeam(seam)
                .piece("B", p -> DesignMaker.sized(p, "(" + p.width() + ") + " + wider, p.height()));
        if (fits) {
            nothing(maker);
        } else {
            assertThat(only(Check.PANELS_MATCH, maker).place()).isEqualTo("form.lining");
        }
    }

    @ParameterizedTest
    @CsvSource({"9 in, 6 in", "10 1/2 in, ''", "10 17/32 in, ''"})
    void whatIsWishedIsWhatThePiecesMake(String panel, String comesOut) {
        DesignMaker maker = pouch().wished("width", "height")
                .piece("A", p -> DesignMaker.sized(p, panel, p.height()))
                .piece("B", p -> DesignMaker.sized(p, panel, p.height()))
                .piece("C", p -> DesignMaker.sized(p, "8 in", p.height()));
        if (comesOut.isEmpty()) {
            nothing(maker);
        } else {
            Finding found = only(Check.WISHED, maker);
            assertThat(found.place()).isEqualTo("form.wishedWidth");
            assertThat(found.what().values())
                    .containsExactly(Value.of("width"), measure("7 1/2 in"), measure(comesOut));
        }
    }

    @Test
    void aWidthThatIsWishedAcrossTheTopIsFoundThere() {
        nothing(pouch().wished("width + depth", "height"));
        assertThat(only(Check.WISHED, pouch().wished("width", "height + 1 in")).place())
                .isEqualTo("form.wishedHeight");
    }

    @ParameterizedTest
    @CsvSource({"3/8 in, 9 3/4 in, false", "3/8 in, 9 in, true", "0 in, 9 3/4 in, true"})
    void aZipThatClosesTheTopIsNoLongerThanItsEdge(String shows, String zip, boolean fits) {
        DesignMaker maker = pouch().trims(TrimNeed.of("Z", "Zip", TrimNeed.Kind.ZIP, "zip", "1", zip))
                .measured(Measurement.of("shows", "Zip shows", Kind.ALLOWANCE, shows))
                .piece("A", p -> DesignMaker.sized(p, "9 in", p.height()))
                .piece("B", p -> DesignMaker.sized(p, "9 in", p.height()))
                .piece("C", p -> DesignMaker.sized(p, "8 in", p.height()));
        if (fits) {
            nothing(maker);
        } else {
            assertThat(only(Check.ZIP_FIT, maker).what().values())
                    .containsExactly(Value.of("Zip"), measure("9 3/4 in"), measure("9 in"));
        }
    }

    @Test
    void aOneWayPrintStandsOnItsHeadBehindAFoldedBase() {
        DesignMaker folded = pouch().form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.FOLD));
        assertThat(only(Check.PRINT_AT_FOLD, folded).place()).isEqualTo("pieces.A");
        nothing(folded.piece("A", p -> DesignMaker.boxed(p, false)));
    }

    private static Value measure(String typed) {
        return Value.of(LengthReader.read(typed, LengthUnit.INCH));
    }

    private static Shape cutOut(String side) {
        return new Shape(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, side, side);
    }

    @ParameterizedTest
    @CsvSource({"1 1/4 in, true", "1 in, false"})
    void cornersOfOuterAndLiningAreCutOutAlike(String lining, boolean alike) {
        DesignMaker maker = DesignMaker.empty()
                .pieces(
                        shaped(Piece.of("A", "Cover", Role.OUTER, "outer", "1", "10 in", "8 in"), cutOut("1 1/4 in")),
                        shaped(Piece.of("B", "Lining", Role.LINING, "lining", "1", "10 in", "8 in"), cutOut(lining)))
                .form(new FreeForm(Optional.of("A"), Optional.of("B"), "9 in", "7 in", ""));
        if (alike) {
            nothing(maker);
        } else {
            assertThat(only(Check.PANELS_MATCH, maker).place()).isEqualTo("pieces.B.shapes");
        }
    }

    @ParameterizedTest
    @CsvSource({"10 in, true", "11 in, false"})
    void aWalletsLiningIsCutLikeItsOuter(String lining, boolean alike) {
        DesignMaker maker = DesignMaker.empty()
                .pieces(
                        Piece.of("A", "Cover", Role.OUTER, "outer", "1", "10 in", "8 in"),
                        Piece.of("B", "Lining", Role.LINING, "lining", "1", lining, "8 in"))
                .form(new FreeForm(Optional.of("A"), Optional.of("B"), "9 in", "7 in", ""));
        if (alike) {
            nothing(maker);
        } else {
            assertThat(only(Check.PANELS_MATCH, maker).what().words()).contains("is cut");
        }
    }

    @Test
    void whatIsSetAsideKeepsItsReasonAndARefusalCantBe() {
        DesignMaker maker = pouch().measured(Measurement.of("width", "Width", Kind.FINISHED, "5 in", "0 in"))
                .piece("B", p -> DesignMaker.sized(p, p.width(), "9 in"))
                .setAside(Check.PANELS_MATCH, "form.lining", "the lining is gathered");
        List<Finding> findings = Sizing.of(maker.make(), MEDIUM).findings();
        assertThat(findings)
                .filteredOn(Finding::isRefused)
                .isNotEmpty()
                .allMatch(f -> f.setAside().isEmpty());
        assertThat(findings)
                .filteredOn(f -> f.check().equals(Optional.of(Check.PANELS_MATCH)))
                .singleElement()
                .satisfies(f -> assertThat(f.setAside()).contains("the lining is gathered"));
    }

    @ParameterizedTest
    @CsvSource({
        "NOT_FOR_SALE, 0, 0, 1, true",
        "SO_MANY, 20, 12, 8, false",
        "SO_MANY, 20, 12, 9, true",
        "SO_MANY_A_YEAR, 20, 12, 8, false",
        "SO_MANY_A_YEAR, 20, 12, 9, true",
        "FREE_TO_SELL, 0, 99, 9, false",
        "OWN, 0, 99, 9, false"
    })
    void aLicenceIsLookedAtBeforeMoreAreMade(Source.Licence licence, int most, long made, long units, boolean warns) {
        Source source = new Source(licence, "a designer", most, "", List.of());
        assertThat(Licences.look(source, made, units).isPresent()).isEqualTo(warns);
    }

    @Test
    void aLicenceMayKeepBagsFromOthersShopsAndKitsFromBeingSold() {
        List<Source.Condition> both = List.of(Source.Condition.values());
        Source lent = new Source(Source.Licence.FREE_TO_SELL, "a designer", 0, "", both);
        assertThat(Licences.againstResellers(lent).orElseThrow().words())
                .isEqualTo("The licence for this pattern by a designer doesn't let others sell the bags.");
        assertThat(Licences.againstKits(lent).orElseThrow().words()).contains("only finished bags", "not this sheet");
        Source free = new Source(Source.Licence.FREE_TO_SELL, "a designer", 0, "", List.of());
        assertThat(Licences.againstResellers(free)).isEmpty();
        assertThat(Licences.againstKits(free)).isEmpty();
        assertThat(Licences.againstKits(new Source(Source.Licence.OWN, "", 0, "", both)))
                .as("one's own designs have no licence")
                .isEmpty();
    }

    private static DesignMaker pocketOnANotchedFace(String across, String down) {
        return DesignMaker.empty()
                .pieces(DesignMaker.marked(
                        shaped(
                                Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in"),
                                new Shape(Shape.Kind.NOTCHED, Shape.Place.TOP, "4 in", "4 in"),
                                new Shape(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, "1 in", "1 in")),
                        Mark.at(Mark.Kind.POCKET, "pocket", Mark.From.RAW, across, down)
                                .sized("2 in", "2 in")));
    }

    @ParameterizedTest
    @CsvSource({
        "4 in, 4 in, ''",
        "4 in, 3 in, the V is cut out",
        "6 1/2 in, 1 1/2 in, ''",
        "6 in, 1 in, the V is cut out",
        "0 in, 6 in, a corner is cut out",
        "8 in, 5 1/2 in, a corner is cut out",
        "1 in, 5 in, ''"
    })
    void aPocketLiesClearOfWhatIsCutAway(String across, String down, String why) {
        DesignMaker maker = pocketOnANotchedFace(across, down);
        if (why.isEmpty()) {
            nothing(maker);
        } else {
            assertThat(only(Check.POCKET_CLEAR, maker).what().words())
                    .isEqualTo("“pocket” on Face lies where " + why + ".");
        }
    }

    @ParameterizedTest
    @CsvSource({"9 in, 7 in, ''", "9 in, 6 1/2 in, high", "8 1/2 in, 7 in, wide"})
    void aBackThatIsCutOtherwiseIsAsLargeAsTheFront(String width, String height, String differs) {
        DesignMaker maker = DesignMaker.empty()
                .form(new BoxedBag(
                        BoxingSchool.CUT_BEFORE_SEWING,
                        BaseEdge.SEAM,
                        Optional.of("F"),
                        Optional.empty(),
                        "",
                        "1/4 in",
                        "1/4 in",
                        "1/4 in",
                        "",
                        "",
                        "",
                        Optional.of("B"),
                        SideEdge.SEAMS))
                .pieces(
                        Piece.of("F", "Front", Role.OUTER, "outer", "1", "9 in", "7 in"),
                        Piece.of("B", "Back", Role.OUTER, "outer", "1", width, height));
        if (differs.isEmpty()) {
            nothing(maker);
        } else {
            assertThat(only(Check.FACES_MATCH, maker).what().words()).contains(differs + " where it is sewn");
        }
    }

    @ParameterizedTest
    @CsvSource({"2 in, 1 in, true", "2 in, 3/4 in, false"})
    void aSnippedCornerIsAsDeepAsTwiceItsSeam(String depth, String boxing, boolean right) {
        BoxedBag like = Pouch.bag(BoxingSchool.SNIPPED, BaseEdge.SEAM);
        DesignMaker maker = pouch().form(new BoxedBag(
                like.school(),
                like.base(),
                like.outer(),
                like.lining(),
                depth,
                like.sideSeam(),
                like.topSeam(),
                like.baseSeam(),
                boxing,
                like.zipShows(),
                like.rimBand()));
        assertThat(Sizing.of(maker.make(), MEDIUM).findings())
                .filteredOn(f -> f.check().equals(Optional.of(Check.CORNER_CUT)))
                .hasSize(right ? 0 : 1);
    }

    private static DesignMaker withGap(String gap, ClothKind cloth) {
        return DesignMaker.empty()
                .cloth("lining", ClothKind.QUILTING_COTTON)
                .cloth("stiff", cloth)
                .pieces(
                        DesignMaker.marked(
                                Piece.of("L", "Lining", Role.LINING, "lining", "1", "12 in", "10 in"),
                                Mark.at(Mark.Kind.GAP, "gap", Mark.From.RAW, "2 in", "")
                                        .sized(gap, "")),
                        Piece.of("S", "Base", Role.INTERFACING, "stiff", "1", "11 in", "9 in"));
    }

    @Test
    void aTurningGapLetsAHandAndTheStiffestPartThrough() {
        nothing(withGap("4 1/2 in", ClothKind.FOAM));
        nothing(withGap("3 in", ClothKind.FUSIBLE));
        assertThat(only(Check.TURNING_GAP, withGap("2 in", ClothKind.FUSIBLE))
                        .what()
                        .words())
                .contains("too little for a hand");
        assertThat(only(Check.TURNING_GAP, withGap("4 1/4 in", ClothKind.FOAM))
                        .what()
                        .words())
                .contains("Base, the stiffest part");
    }

    private static Mark snap(String across, Mark.Half half, Mark.Closing closing) {
        return Mark.at(Mark.Kind.HARDWARE, "snap", Mark.From.RAW, across, "1 in")
                .halfOf("flap", half)
                .closing(closing);
    }

    private static DesignMaker flap(String on, String under, Mark.Closing closing) {
        return DesignMaker.empty()
                .pieces(
                        DesignMaker.marked(
                                Piece.of("A", "Front", Role.OUTER, "outer", "1", "10 in", "8 in"),
                                snap(on, Mark.Half.SOCKET, closing)),
                        DesignMaker.marked(
                                Piece.of("F", "Flap", Role.OUTER, "outer", "1", "10 in", "4 in"),
                                snap(under, Mark.Half.STUD, Mark.Closing.AS_IT_LIES)));
    }

    @ParameterizedTest
    @CsvSource({
        "3 in, 3 in, FLAP_OVER, true",
        "3 in, 7 in, FLAP_OVER, false",
        "3 in, 3 in, FACE_TO_FACE, false",
        "3 in, 7 in, FACE_TO_FACE, true",
        "3 in, 7 in, AS_IT_LIES, true"
    })
    void aFlapThatIsHingedAtItsTopClosesWithoutMirroring(String on, String under, Mark.Closing closing, boolean meets) {
        DesignMaker maker = flap(on, under, closing);
        if (meets) {
            nothing(maker);
        } else {
            assertThat(only(Check.HALVES_FACE, maker).what().words()).contains("miss each other");
        }
    }

    @Test
    void aLabelIsSewnOnBeforeOuterAndLiningAreJoined() {
        DesignMaker late = DesignMaker.empty()
                .form(new FreeForm(Optional.of("A"), Optional.of("B"), "10 in", "8 in", ""))
                .pieces(
                        Piece.of("A", "Front", Role.OUTER, "outer", "1", "10 in", "8 in"),
                        Piece.of("B", "Lining", Role.LINING, "outer", "1", "10 in", "8 in"))
                .steps(
                        step("Join all round", Station.MACHINE, "", List.of(), use("A", 1), use("B", 1)),
                        step("Sew on the label", Station.MACHINE, "", List.of(), use("A", 1)));
        assertThat(only(Check.STEP_ORDER, late).what().words())
                .contains("“Step Sew on the label” comes after “Step Join all round”");
        nothing(DesignMaker.empty()
                .form(new FreeForm(Optional.of("A"), Optional.of("B"), "10 in", "8 in", ""))
                .pieces(
                        Piece.of("A", "Front", Role.OUTER, "outer", "1", "10 in", "8 in"),
                        Piece.of("B", "Lining", Role.LINING, "outer", "1", "10 in", "8 in"))
                .steps(
                        step("Sew on the label", Station.MACHINE, "", List.of(), use("A", 1)),
                        step("Join all round", Station.MACHINE, "", List.of(), use("A", 1), use("B", 1)),
                        step("Tie the hang label", Station.WORK_TABLE, "", List.of(), use("A", 1))));
    }

    private static DesignMaker gathered(String pocket, String elastic, String panel) {
        return DesignMaker.empty()
                .pieces(
                        Piece.of("P", "Pocket", Role.POCKET, "outer", "1", pocket, "6 in"),
                        Piece.of("A", "Panel", Role.OUTER, "outer", "1", panel, "10 in"))
                .trims(TrimNeed.of("E", "Elastic", TrimNeed.Kind.ELASTIC, "elastic", "1", elastic))
                .gathers(new Gather("P", "E", "A", "1/2 in"));
    }

    @ParameterizedTest
    @CsvSource({
        "14 in, 10 in, 10 in, ''",
        "14 in, 9 in, 10 in, sewn to",
        "10 1/2 in, 10 in, 10 in, too little for gathers",
        "30 in, 10 in, 10 in, more than lies flat"
    })
    void aGatheredEdgeItsElasticAndItsPanelAgree(String pocket, String elastic, String panel, String why) {
        DesignMaker maker = gathered(pocket, elastic, panel);
        if (why.isEmpty()) {
            nothing(maker);
        } else {
            assertThat(only(Check.GATHER, maker).what().words()).contains(why);
        }
    }
}
