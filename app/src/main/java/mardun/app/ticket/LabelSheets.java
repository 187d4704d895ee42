package mardun.app.ticket;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.ticket.TicketViews.SheetForm;
import mardun.app.ticket.TicketViews.SheetView;
import mardun.core.label.CommonSheet;
import mardun.core.label.LabelSheet;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The sheets of labels to choose from: those that shops have, and those that the maker measured. */
@Component
class LabelSheets {

    private static final String OWN = "own-";
    private static final int LONGEST_NAME = 120;
    private static final int MOST_ACROSS = 40;
    private static final int MOST_DOWN = 60;
    private static final double MM = LengthUnit.MILLIMETRE.nanometres();
    private static final Length LARGEST_PAGE = Length.of(1_000, LengthUnit.MILLIMETRE);
    private static final Length SMALLEST_LABEL = Length.of(8, LengthUnit.MILLIMETRE);
    private static final Length A4_WIDTH = Length.of(210, LengthUnit.MILLIMETRE);

    private final OwnSheetRepository own;
    private final TicketRunRepository runs;
    private final SettingsService settings;
    private final OnceOnly onceOnly;

    LabelSheets(OwnSheetRepository own, TicketRunRepository runs, SettingsService settings, OnceOnly onceOnly) {
        this.own = own;
        this.runs = runs;
        this.settings = settings;
        this.onceOnly = onceOnly;
    }

    /** All that can be chosen: the maker's own first, then those on the paper that she usually has. */
    List<SheetView> all() {
        ViewWriter writer = settings.current().writer();
        boolean inches = writer.system() == UnitSystem.INCH;
        return Stream.concat(
                        own.findByPutAwayFalseOrderById().stream()
                                .map(one -> view(OWN + one.id(), one.name(), true, one.sheet())),
                        Arrays.stream(CommonSheet.values())
                                .sorted((one, other) ->
                                        Boolean.compare(isA4(one.sheet()) == inches, isA4(other.sheet()) == inches))
                                .map(one -> view(one.name(), name(one.sheet(), writer), false, one.sheet())))
                .toList();
    }

    /**
     * The sheet that was chosen.
     *
     * @throws RefusedException if there is none
     */
    LabelSheet get(String key) {
        return find(key)
                .orElseThrow(() -> RefusedException.missing("There are no such sheets of labels, or no longer."));
    }

    private Optional<LabelSheet> find(String key) {
        if (key.startsWith(OWN)) {
            return number(key).flatMap(own::findById).map(OwnSheet::sheet);
        }
        return Arrays.stream(CommonSheet.values())
                .filter(one -> one.name().equals(key))
                .findFirst()
                .map(CommonSheet::sheet);
    }

    private static Optional<Long> number(String key) {
        String digits = key.substring(OWN.length());
        return digits.matches("\\d{1,18}") ? Optional.of(Long.valueOf(digits)) : Optional.empty();
    }

    private static boolean isA4(LabelSheet sheet) {
        return sheet.page().width().equals(A4_WIDTH);
    }

    /** Called by the measures that its paper is made by: millimetres on A4, inches on Letter. */
    private static String name(LabelSheet sheet, ViewWriter writer) {
        Extent label = sheet.label();
        return sheet.labels() + " of "
                + (isA4(sheet)
                        ? millimetres(label.width(), writer) + " × " + millimetres(label.height(), writer) + " mm, A4"
                        : writer.length(label.width(), ShownRounding.NEAREST).inch() + " × "
                                + writer.length(label.height(), ShownRounding.NEAREST)
                                        .inch() + ", Letter");
    }

    private static String millimetres(Length length, ViewWriter writer) {
        return writer.decimal(BigDecimal.valueOf(length.nanometres(), 6).stripTrailingZeros());
    }

    private SheetView view(String key, String name, boolean isOwn, LabelSheet sheet) {
        return new SheetView(
                key,
                name,
                isOwn,
                1 + runs.lastSheet(key).map(TicketRun::usedAfter).orElse(0),
                sheet.across(),
                sheet.down(),
                mm(sheet.page().width()),
                mm(sheet.page().height()),
                mm(sheet.left()),
                mm(sheet.top()),
                mm(sheet.label().width()),
                mm(sheet.label().height()),
                mm(sheet.stepAcross()),
                mm(sheet.stepDown()));
    }

    private static double mm(Length length) {
        return length.nanometres() / MM;
    }

    /** Keeps a sheet that the maker measured; sent twice, once. Answers its key. */
    String add(SheetForm form) {
        return OWN
                + onceOnly.make(form.requestId(), "label sheet", form, () -> {
                    FieldReader fields = new FieldReader();
                    String name = fields.text("name", form.name(), LONGEST_NAME);
                    LabelSheet sheet = read(form, fields);
                    fields.check();
                    return own.saveAndFlush(new OwnSheet(name, sheet)).id();
                });
    }

    private LabelSheet read(SheetForm form, FieldReader fields) {
        LengthUnit bare = settings.current().unitSystem() == UnitSystem.INCH ? LengthUnit.INCH : LengthUnit.MILLIMETRE;
        Extent page = new Extent(
                fields.positiveLength("pageWidth", form.pageWidth(), bare, LARGEST_PAGE),
                fields.positiveLength("pageHeight", form.pageHeight(), bare, LARGEST_PAGE));
        Extent label = new Extent(
                fields.positiveLength("labelWidth", form.labelWidth(), bare, LARGEST_PAGE),
                fields.positiveLength("labelHeight", form.labelHeight(), bare, LARGEST_PAGE));
        int across = fields.count("across", form.across(), 1, MOST_ACROSS);
        int down = fields.count("down", form.down(), 1, MOST_DOWN);
        LabelSheet sheet = new LabelSheet(
                page,
                fields.length("left", form.left(), bare),
                fields.length("top", form.top(), bare),
                label,
                across == 1 ? label.width() : fields.length("stepAcross", form.stepAcross(), bare),
                down == 1 ? label.height() : fields.length("stepDown", form.stepDown(), bare),
                across,
                down);
        if (fields.problems().isEmpty()) {
            refuseMisfit(sheet, form, fields);
        }
        return sheet;
    }

    private static void refuseMisfit(LabelSheet sheet, SheetForm form, FieldReader fields) {
        if (SMALLEST_LABEL.isLongerThan(sheet.label().height())) {
            fields.refuse(
                    "labelHeight",
                    form.labelHeight(),
                    "“" + form.labelHeight() + "” is too low for any words. A label is at least 8 mm high.");
        }
        sheet.misfit().ifPresent(misfit -> {
            switch (misfit) {
                case TOO_WIDE ->
                    fields.refuse(
                            "across",
                            form.across(),
                            sheet.across() + " labels beside one another reach over the page's right edge.");
                case TOO_HIGH ->
                    fields.refuse(
                            "down", form.down(), sheet.down() + " rows of labels reach over the page's lower edge.");
                case OVERLAP_ACROSS ->
                    fields.refuse(
                            "stepAcross",
                            form.stepAcross(),
                            "Labels begin every “" + form.stepAcross() + "” and are “" + form.labelWidth()
                                    + "” wide: they lie over one another. Measure from left edge to left edge.");
                case OVERLAP_DOWN ->
                    fields.refuse(
                            "stepDown",
                            form.stepDown(),
                            "Rows begin every “" + form.stepDown() + "” and labels are “" + form.labelHeight()
                                    + "” high: they lie over one another. Measure from upper edge to upper edge.");
            }
        });
    }

    @Transactional
    public void putAway(long id) {
        own.findById(id).ifPresent(OwnSheet::putAway);
    }
}
