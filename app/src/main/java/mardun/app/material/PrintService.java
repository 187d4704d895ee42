package mardun.app.material;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mardun.app.id.MaterialId;
import mardun.app.material.PrintMarks.StoredMotif;
import mardun.app.material.PrintViews.MotifForm;
import mardun.app.material.PrintViews.MotifView;
import mardun.app.material.PrintViews.PlaceInRepeat;
import mardun.app.material.PrintViews.PointedAt;
import mardun.app.material.PrintViews.PrintForm;
import mardun.app.material.PrintViews.PrintView;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.material.MaterialKind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import org.apache.commons.numbers.fraction.BigFraction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which parts of its print are marked on a cloth, for the pieces that have to show them. */
@Service
public class PrintService {

    private static final String NO_REPEAT =
            "Nobody said after which height the print comes again. Say so first: “Change what it is”, more about this cloth.";

    private static final Length SIXTEENTH = Length.of(1, 16, LengthUnit.INCH);
    private static final Length MILLIMETRE = Length.of(1, LengthUnit.MILLIMETRE);

    private final MaterialRepository materials;
    private final SettingsService settings;

    PrintService(MaterialRepository materials, SettingsService settings) {
        this.materials = materials;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    public PrintView get(MaterialId id) {
        return view(cloth(id), settings.current().unitSystem());
    }

    /** Keeps what is marked, in the place of what was before. */
    @Transactional
    public PrintView put(MaterialId id, PrintForm form) {
        Settings current = settings.current();
        Material cloth = cloth(id);
        ChangedMeanwhileException.check("“" + cloth.name() + "”", form.version(), cloth.version());
        FieldReader fields = new FieldReader();
        Optional<Length> across = across(form.repeatAcross(), fields, current);
        frame(form.frame(), fields);
        List<StoredMotif> motifs = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (int i = 0; i < form.motifs().size(); i++) {
            motifs.add(motif(form.motifs().get(i), "motifs." + i, across, cloth, names, fields, current));
        }
        fields.check();
        cloth.mark(new PrintMarks(across.map(Length::nanometres).orElse(null), form.frame(), motifs));
        materials.saveAndFlush(cloth);
        return view(cloth, current.unitSystem());
    }

    /**
     * Where in the repeat a point of the photo is, to the sixteenth of an inch or the millimetre. The same part in another repeat that the
     * photo shows is at the same place; beyond the edges of a cloth that shows it once across it is at the edge.
     */
    @Transactional(readOnly = true)
    public PlaceInRepeat pointedAt(MaterialId id, PointedAt at) {
        Settings current = settings.current();
        Material cloth = cloth(id);
        FieldReader fields = new FieldReader();
        Optional<Length> across = across(at.repeatAcross(), fields, current);
        frame(at.frame(), fields);
        fields.check();
        Length repeat = repeat(cloth).orElseThrow(() -> RefusedException.conflict(NO_REPEAT));
        Frame frame = at.frame();
        Length wide = across.orElseGet(() -> cloth.usableWidth().orElseThrow());
        UnitSystem system = current.unitSystem();
        double alongX = (at.x() - frame.left()) / (frame.right() - frame.left());
        double alongY = (at.y() - frame.top()) / (frame.bottom() - frame.top());
        double withinX = across.isPresent() ? alongX - Math.floor(alongX) : Math.min(1, Math.max(0, alongX));
        return new PlaceInRepeat(
                text(share(wide, withinX, system), system),
                text(share(repeat, alongY - Math.floor(alongY), system), system));
    }

    private static Length share(Length whole, double share, UnitSystem system) {
        Length step = system == UnitSystem.INCH ? SIXTEENTH : MILLIMETRE;
        long steps = Math.round(share * whole.nanometres() / step.nanometres());
        // The end of a repeat is the beginning of the next one.
        boolean isTheEnd = step.times(steps).compareTo(whole) >= 0;
        return isTheEnd ? Length.ZERO : step.times(steps);
    }

    private StoredMotif motif(
            MotifForm form,
            String place,
            Optional<Length> across,
            Material cloth,
            Set<String> names,
            FieldReader fields,
            Settings current) {
        String name = fields.text(place + ".name", form.name(), PrintViews.LONGEST_NAME);
        if (!name.isEmpty() && !names.add(name.toLowerCase(Locale.ROOT))) {
            fields.refuse(
                    place + ".name",
                    name,
                    "“" + name + "” is marked twice. A piece asks for it by its name: call one otherwise.");
        }
        Length wide = across.orElseGet(() -> cloth.usableWidth().orElseThrow());
        Optional<Length> left = form.across().isBlank()
                ? Optional.empty()
                : Optional.of(within(place + ".across", form.across(), wide, "the print’s width", fields, current));
        Optional<Length> repeat = repeat(cloth);
        if (repeat.isEmpty()) {
            fields.refuse(place + ".down", form.down(), NO_REPEAT);
        }
        Length down = within(
                place + ".down",
                form.down(),
                repeat.orElse(MaterialReader.WIDEST_CLOTH),
                "the repeat",
                fields,
                current);
        return new StoredMotif(name, left.map(Length::nanometres).orElse(null), down.nanometres());
    }

    private static Length within(
            String place, String typed, Length whole, String what, FieldReader fields, Settings current) {
        Length length = fields.length(place, typed, current.unitSystem().smallUnit());
        if (length.nanometres() < 0 || length.compareTo(whole) >= 0) {
            fields.refuse(
                    place,
                    typed,
                    "“" + typed + "” isn’t within " + what + ". Type a measure from 0 to less than "
                            + text(whole, current.unitSystem()) + ".");
        }
        return length;
    }

    private static Optional<Length> across(String typed, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength(
                        "repeatAcross", typed, current.unitSystem().smallUnit(), MaterialReader.WIDEST_CLOTH));
    }

    private static void frame(Frame frame, FieldReader fields) {
        if (!frame.isLargeEnough()) {
            fields.refuse(
                    "frame",
                    "",
                    "There is nothing between the corners of the repeat on the photo. Mark its upper left corner first, then its"
                            + " lower right one.");
        }
    }

    private static Optional<Length> repeat(Material cloth) {
        return Facts.length(cloth.facts().repeatNm());
    }

    private PrintView view(Material cloth, UnitSystem system) {
        PrintMarks marks = cloth.printMarks();
        Optional<Length> repeat = repeat(cloth);
        Length wide = marks.across().orElseGet(() -> cloth.usableWidth().orElseThrow());
        return new PrintView(
                cloth.version(),
                repeat.map(length -> text(length, system)).orElse(null),
                marks.across().map(length -> text(length, system)).orElse(""),
                cloth.colour(),
                cloth.facts().print(),
                MaterialViewWriter.photoOf(cloth),
                marks.frame(),
                millimetres(wide),
                repeat.map(PrintService::millimetres).orElse(0.0),
                marks.parts().stream()
                        .map(motif -> new MotifView(
                                motif.name(),
                                motif.across().map(at -> text(at, system)).orElse(""),
                                text(motif.down(), system),
                                motif.across().map(at -> shareOf(at, wide)).orElse(null),
                                repeat.map(each -> shareOf(motif.down(), each)).orElse(0.0)))
                        .toList());
    }

    private static double shareOf(Length at, Length whole) {
        BigFraction share = at.exact().divide(whole.exact());
        return share.bigDecimalValue(4, RoundingMode.HALF_UP).doubleValue();
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    private static String text(Length length, UnitSystem system) {
        return LengthWriter.exactly(length, system);
    }

    private Material cloth(MaterialId id) {
        Material material = materials
                .findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
        if (material.kind() != MaterialKind.CLOTH) {
            throw RefusedException.conflict(
                    "“" + material.name() + "” isn’t cloth from a roll, so no part of a print is marked on it.");
        }
        return material;
    }
}
