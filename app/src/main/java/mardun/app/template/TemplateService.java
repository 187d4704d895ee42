package mardun.app.template;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.Views.LengthView;
import mardun.app.template.TemplateViews.Asked;
import mardun.app.template.TemplateViews.JoinView;
import mardun.app.template.TemplateViews.PaperKind;
import mardun.app.template.TemplateViews.SizesDrawn;
import mardun.app.template.TemplateViews.TemplatePage;
import mardun.app.template.TemplateViews.TemplatePages;
import mardun.app.template.TemplateViews.TemplatePieceView;
import mardun.app.template.TemplateViews.TemplateView;
import mardun.app.template.TemplateViews.TemplatesView;
import mardun.core.design.Design;
import mardun.core.design.Piece;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.template.JoinedTemplate;
import mardun.core.template.PaperTiles;
import mardun.core.template.PlacementCard;
import mardun.core.template.ShiftedTemplate;
import mardun.core.template.Template;
import mardun.core.template.TemplateLine;
import mardun.core.template.TemplatePaper;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Draws templates of a design as it is stored: which pieces, in which sizes, on which paper. */
@Service
class TemplateService {

    private static final int MOST_PAGES = 200;

    private final DesignService designs;
    private final SharedTemplates shared;
    private final SettingsService settings;

    TemplateService(DesignService designs, SharedTemplates shared, SettingsService settings) {
        this.designs = designs;
        this.shared = shared;
        this.settings = settings;
    }

    /** Templates on their pages, with what they are of. */
    record Drawn(Design design, List<String> sizes, List<String> letters, PaperTiles tiles) {

        /** Those of the pieces whose sizes one template can't serve. */
        List<String> notShifted(Settings current) {
            return letters.stream()
                    .filter(letter -> {
                        Map<String, SizedPiece> bySize = bySize(design, sizes, letter, current);
                        return bySize.size() > 1 && shift(bySize).isEmpty();
                    })
                    .toList();
        }
    }

    @Transactional(readOnly = true)
    public TemplatesView view(DesignId id, Asked asked) {
        Drawn drawn = draw(id, asked);
        PaperTiles tiles = drawn.tiles();
        return new TemplatesView(
                id,
                drawn.design().name(),
                drawn.design().sizes(),
                drawn.design().pieces().stream()
                        .map(piece -> new TemplatePieceView(
                                piece.letter(),
                                piece.name(),
                                TemplateWords.cloth(drawn.design(), piece),
                                piece.isPlain()))
                        .toList(),
                drawn.sizes(),
                drawn.letters(),
                isShifted(asked, drawn.sizes()) ? drawn.notShifted(settings.current()) : List.of(),
                asked.paper(),
                tiles.plane().placed().stream()
                        .map(placed -> new TemplateView(
                                placed.template().name(),
                                placed.template().words(),
                                placed.left(),
                                placed.top(),
                                placed.template().width(),
                                placed.template().height(),
                                path(placed.lines(), true),
                                path(placed.lines(), false)))
                        .toList(),
                new TemplatePages(
                        tiles.plane().width(),
                        tiles.plane().height(),
                        tiles.paper().width(),
                        tiles.paper().height(),
                        asked.paper() == PaperKind.ROLL ? needed(tiles) : null,
                        tiles.rows(),
                        tiles.columns(),
                        tiles.pages().stream()
                                .map(page -> new TemplatePage(
                                        page.name(), page.left(), page.top(), page.right(), page.bottom()))
                                .toList()),
                joins(drawn.design(), drawn.sizes().get(0), settings.current()),
                designs.document(id).leftOpen());
    }

    /** How much of a roll is needed. */
    private LengthView needed(PaperTiles tiles) {
        Length length = new Length(Math.round(tiles.paper().height() * LengthUnit.MILLIMETRE.nanometres()));
        return settings.current().writer().length(length, ShownRounding.UP);
    }

    private static String path(List<TemplateLine> lines, boolean cut) {
        return lines.stream()
                .filter(line -> cut == (line.kind() == TemplateLine.Kind.CUT))
                .map(TemplateSvg::path)
                .collect(Collectors.joining());
    }

    /** The templates as a PDF file. */
    @Transactional(readOnly = true)
    public byte[] pdf(DesignId id, Asked asked) {
        Drawn drawn = draw(id, asked);
        return TemplatePdf.file(
                drawn.design().name() + ", " + String.join(", ", drawn.sizes()),
                drawn.tiles(),
                square(settings.current()));
    }

    /** The templates as a drawing in real millimetres. */
    @Transactional(readOnly = true)
    public String svg(DesignId id, Asked asked) {
        Drawn drawn = draw(id, asked);
        return TemplateSvg.drawing(drawn.design().name(), drawn.tiles().plane());
    }

    private static boolean isShifted(Asked asked, List<String> sizes) {
        return asked.drawn() == SizesDrawn.SHIFTED
                && sizes.size() > 1
                && !Boolean.TRUE.equals(asked.placing())
                && asked.join().isEmpty();
    }

    private Drawn draw(DesignId id, Asked asked) {
        Settings current = settings.current();
        Design design = designs.madeNow(id, asked.picks()).design();
        List<String> sizes = sizes(design, asked.sizes());
        boolean placing = Boolean.TRUE.equals(asked.placing());
        List<String> letters =
                placing ? placed(design, asked.pieces(), sizes, current) : letters(design, asked.pieces());
        List<Template> templates = new ArrayList<>();
        templates.add(square(current));
        templates.addAll(
                placing
                        ? cards(design, sizes, letters, current)
                        : asked.join().isEmpty()
                                ? drawn(id, asked.drawn(), design, sizes, letters, current)
                                : joined(design, sizes, asked.join(), current));
        TemplatePaper paper = paper(asked, templates, current);
        PaperTiles tiles = PaperTiles.of(templates, paper);
        if (tiles.pages().size() > MOST_PAGES) {
            throw RefusedException.conflict("These take " + tiles.pages().size() + " pages, and at most " + MOST_PAGES
                    + " are printed at once. Choose fewer pieces or sizes, or paper from a roll.");
        }
        return new Drawn(design, sizes, letters, tiles);
    }

    private List<Template> drawn(
            DesignId id, SizesDrawn how, Design design, List<String> sizes, List<String> letters, Settings current) {
        if (how == SizesDrawn.NESTED && sizes.size() > 1) {
            return nested(design, sizes, letters, current);
        }
        Map<UUID, List<String>> others = shared.besides(id, current.thickestSeam());
        return how == SizesDrawn.SHIFTED && sizes.size() > 1
                ? shifted(design, sizes, letters, others, current)
                : apart(design, sizes, letters, others, current);
    }

    /** One template for all sizes of a piece where it only has to be moved; of the other pieces one for each size. */
    private static List<Template> shifted(
            Design design,
            List<String> sizes,
            List<String> letters,
            Map<UUID, List<String>> inOthers,
            Settings current) {
        List<Template> templates = new ArrayList<>();
        List<String> others = new ArrayList<>();
        for (String letter : letters) {
            Map<String, SizedPiece> bySize = bySize(design, sizes, letter, current);
            Optional<ShiftedTemplate> one = shift(bySize);
            if (one.isEmpty()) {
                others.add(letter);
                continue;
            }
            SizedPiece base = List.copyOf(bySize.values()).get(one.get().base());
            templates.add(one.get()
                    .template()
                    .called(name(List.of(base)), TemplateWords.ofShifted(design, bySize, one.get(), current.writer())));
        }
        templates.addAll(apart(design, sizes, others, inOthers, current));
        return templates;
    }

    private static Optional<ShiftedTemplate> shift(Map<String, SizedPiece> bySize) {
        return bySize.size() < 2
                ? Optional.empty()
                : ShiftedTemplate.of(bySize.values().stream()
                        .map(piece -> Template.of(piece, "", List.of()))
                        .toList());
    }

    private static List<Template> joined(Design design, List<String> sizes, List<String> join, Settings current) {
        if (join.size() != 2 || join.get(0).equals(join.get(1))) {
            throw RefusedException.conflict("Two pieces are joined at their marks. Name one and another one.");
        }
        List<String> both = letters(design, join);
        List<Template> templates = new ArrayList<>();
        for (String size : sizes) {
            List<SizedPiece> pieces = sized(design, size, both, current);
            if (pieces.size() == 2) {
                templates.add(joined(design, size, pieces.get(0), pieces.get(1), current));
            }
        }
        if (templates.isEmpty()) {
            throw RefusedException.conflict("In these sizes one of the two pieces isn’t cut. Choose another size.");
        }
        return templates;
    }

    private static Template joined(Design design, String size, SizedPiece one, SizedPiece other, Settings current) {
        try {
            JoinedTemplate joined = JoinedTemplate.of(one, other, "", List.of());
            return joined.template()
                    .called(
                            one.piece().letter() + " + " + other.piece().letter() + " "
                                    + one.piece().name() + ", " + other.piece().name(),
                            TemplateWords.ofJoined(design, size, List.of(one, other), joined, current.writer()));
        } catch (JoinedTemplate.CannotBeJoinedException no) {
            throw RefusedException.conflict(current.writer().sentence(no.sentence()));
        }
    }

    /** Which two pieces could be joined, in the first of some sizes. */
    private static List<JoinView> joins(Design design, String size, Settings current) {
        List<SizedPiece> pieces =
                sized(design, size, design.pieces().stream().map(Piece::letter).toList(), current);
        List<JoinView> joins = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            for (SizedPiece other : pieces.subList(i + 1, pieces.size())) {
                SizedPiece one = pieces.get(i);
                List<String> marks = JoinedTemplate.marksOf(one, other);
                if (!marks.isEmpty()) {
                    joins.add(new JoinView(one.piece().letter(), other.piece().letter(), marks));
                }
            }
        }
        return joins;
    }

    private static List<String> sizes(Design design, List<Integer> asked) {
        int many = design.sizes().size();
        for (Integer size : asked) {
            if (size == null || size < 0 || size >= many) {
                throw RefusedException.missing(
                        "“" + design.name() + "” has " + many + " sizes, and none at place " + size + ".");
            }
        }
        return asked.isEmpty()
                ? design.sizes().subList(0, 1)
                : IntStream.range(0, many)
                        .filter(asked::contains)
                        .mapToObj(design.sizes()::get)
                        .toList();
    }

    private static List<String> letters(Design design, List<String> asked) {
        List<String> all = design.pieces().stream().map(Piece::letter).toList();
        if (all.isEmpty()) {
            throw RefusedException.conflict("“" + design.name() + "” has no piece to draw a template of.");
        }
        asked.stream().filter(letter -> !all.contains(letter)).findFirst().ifPresent(unknown -> {
            throw RefusedException.missing("“" + design.name() + "” has no piece “" + unknown + "”, or no longer.");
        });
        if (!asked.isEmpty()) {
            return all.stream().filter(asked::contains).toList();
        }
        List<String> shaped = design.pieces().stream()
                .filter(piece -> !piece.isPlain())
                .map(Piece::letter)
                .toList();
        return shaped.isEmpty() ? all : shaped;
    }

    /** A square to be measured after printing: it tells whether the printer kept to the size. */
    private static Template square(Settings current) {
        boolean isInch = current.unitSystem() == UnitSystem.INCH;
        double side = isInch ? 50.8 : 50;
        return TestSquare.of(side, isInch ? "2 in" : "5 cm");
    }

    /** @param inOthers the pieces of other designs that are drawn alike, by what is drawn */
    private static List<Template> apart(
            Design design,
            List<String> sizes,
            List<String> letters,
            Map<UUID, List<String>> inOthers,
            Settings current) {
        List<Template> templates = new ArrayList<>();
        for (String size : sizes) {
            Map<UUID, List<SizedPiece>> alike = new LinkedHashMap<>();
            sized(design, size, letters, current)
                    .forEach(piece -> alike.computeIfAbsent(SharedTemplates.drawing(piece), drawn -> new ArrayList<>())
                            .add(piece));
            alike.forEach((drawing, pieces) -> templates.add(Template.of(
                    pieces.get(0),
                    name(pieces),
                    TemplateWords.of(
                            design, size, pieces, inOthers.getOrDefault(drawing, List.of()), current.writer()))));
        }
        return templates;
    }

    /** The letters of the pieces that cards are made of: those on which anything is placed. */
    private static List<String> placed(Design design, List<String> asked, List<String> sizes, Settings current) {
        List<String> all = design.pieces().stream()
                .map(Piece::letter)
                .filter(letter -> asked.isEmpty() || asked.contains(letter))
                .filter(letter -> sizes.stream()
                        .flatMap(size -> sized(design, size, List.of(letter), current).stream())
                        .anyMatch(PlacementCard::isFor))
                .toList();
        if (all.isEmpty()) {
            throw RefusedException.conflict("On " + (asked.isEmpty() ? "“" + design.name() + "”" : "these pieces")
                    + " nothing is placed: no snap or other hardware, pocket, gap, notch or boxed corner is marked.");
        }
        return all;
    }

    /** Pieces that are marked alike share their cards. */
    private static List<Template> cards(Design design, List<String> sizes, List<String> letters, Settings current) {
        List<Template> cards = new ArrayList<>();
        for (String size : sizes) {
            Map<List<PlacementCard>, List<SizedPiece>> alike = new LinkedHashMap<>();
            sized(design, size, letters, current)
                    .forEach(piece -> alike.computeIfAbsent(PlacementCard.of(piece), drawn -> new ArrayList<>())
                            .add(piece));
            alike.forEach((its, pieces) -> its.forEach(card -> cards.add(
                    card.template(name(pieces), TemplateWords.ofCard(design, size, card, current.writer())))));
        }
        return cards;
    }

    private static List<Template> nested(Design design, List<String> sizes, List<String> letters, Settings current) {
        List<Template> templates = new ArrayList<>();
        for (String letter : letters) {
            Map<String, SizedPiece> bySize = bySize(design, sizes, letter, current);
            if (!bySize.isEmpty()) {
                List<SizedPiece> pieces = List.copyOf(bySize.values());
                templates.add(Template.nested(
                        pieces.stream()
                                .map(piece -> Template.of(piece, "", List.of()))
                                .toList(),
                        name(pieces.subList(0, 1)),
                        TemplateWords.ofSizes(design, bySize, current.writer())));
            }
        }
        return templates;
    }

    private static Map<String, SizedPiece> bySize(Design design, List<String> sizes, String letter, Settings current) {
        Map<String, SizedPiece> bySize = new LinkedHashMap<>();
        sizes.forEach(size -> sized(design, size, List.of(letter), current).forEach(piece -> bySize.put(size, piece)));
        return bySize;
    }

    private static List<SizedPiece> sized(Design design, String size, List<String> letters, Settings current) {
        SizedDesign sized = Sizing.of(design, design.sizes().indexOf(size), current.thickestSeam());
        return letters.stream().map(sized::piece).flatMap(Optional::stream).toList();
    }

    private static String name(List<SizedPiece> pieces) {
        Set<String> names = new LinkedHashSet<>();
        pieces.forEach(
                piece -> names.add(piece.piece().letter() + " " + piece.piece().name()));
        return String.join(", ", names);
    }

    private static TemplatePaper paper(Asked asked, List<Template> templates, Settings current) {
        return switch (asked.paper()) {
            case A4 -> TemplatePaper.A4;
            case LETTER -> TemplatePaper.LETTER;
            case ROLL -> roll(asked.rollWidth(), templates, current);
        };
    }

    private static TemplatePaper roll(String typed, List<Template> templates, Settings current) {
        FieldReader fields = new FieldReader();
        double width = fields.positiveLength(
                                "rollWidth", typed, current.unitSystem().smallUnit(), Length.of(10, LengthUnit.METRE))
                        .nanometres()
                / (double) LengthUnit.MILLIMETRE.nanometres();
        fields.check();
        TemplatePaper paper = TemplatePaper.roll(width);
        if (width < TemplatePaper.NARROWEST || width > TemplatePaper.WIDEST) {
            fields.refuse(
                    "rollWidth", typed, "Paper from a roll is between 20 cm and 160 cm wide; “" + typed + "” isn’t.");
        } else if (!PaperTiles.isWideEnough(templates, paper)) {
            fields.refuse(
                    "rollWidth",
                    typed,
                    "A piece is wider than “" + typed + "”. Ask for a wider roll, or print on pages.");
        }
        fields.check();
        return paper;
    }
}
