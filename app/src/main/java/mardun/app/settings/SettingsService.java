package mardun.app.settings;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mardun.app.channel.Channels;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings.Entered;
import mardun.app.settings.SettingsForm.ChangesForm;
import mardun.app.settings.SettingsForm.CuttingForm;
import mardun.app.settings.SettingsForm.DaysForm;
import mardun.app.settings.SettingsForm.EquipmentForm;
import mardun.app.settings.SettingsForm.ShelfForm;
import mardun.core.cutting.CuttingTerms.Curves;
import mardun.core.cutting.OffcutUse;
import mardun.core.making.ChangeTimes;
import mardun.core.making.SetUp.Part;
import mardun.core.material.Valuing;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import org.joda.money.CurrencyUnit;
import org.joda.money.IllegalCurrencyException;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads and keeps the workroom's settings. */
@Service
public class SettingsService {

    private static final BigDecimal SECONDS_PER_MINUTE = BigDecimal.valueOf(60);

    /** No change of a machine takes longer. */
    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(60);

    private static final Length WIDEST_SEAM = Length.of(10, LengthUnit.CENTIMETRE);
    private static final Length WIDEST_OFFCUT = Length.of(2, LengthUnit.METRE);
    private static final Length HALF_CENTIMETRE = Length.of(5, LengthUnit.MILLIMETRE);

    /** What is shorter is a matter of the machine or the cutter, and stays exact. */
    private static final Length WORTH_ROUNDING = Length.of(5, LengthUnit.CENTIMETRE);

    private static final Length LONGEST_END = Length.of(20, LengthUnit.CENTIMETRE);
    private static final int MOST_SECONDS = 3600;
    private static final int MOST_OF_A_DAY = 600;
    private static final int MINUTES_PER_DAY = 24 * 60;
    private static final BigDecimal MINUTES_PER_HOUR = BigDecimal.valueOf(60);

    private final SettingsRepository repository;
    private final Channels channels;
    private final ObjectProvider<HoldsMoney> money;

    SettingsService(SettingsRepository repository, Channels channels, ObjectProvider<HoldsMoney> money) {
        this.repository = repository;
        this.channels = channels;
        this.money = money;
    }

    public Settings current() {
        Settings settings = repository.findById(Settings.ONLY).orElseThrow();
        return settings.selling(channels.get(settings.usualChannelId()));
    }

    /** The settings as a form, with what was typed or its exact like. */
    @Transactional(readOnly = true)
    public SettingsForm form() {
        Settings settings = current();
        var workroom = settings.workroom();
        return new SettingsForm(
                settings.version(),
                settings.unitSystem(),
                settings.inchStep(),
                settings.decimalMark(),
                settings.currency().getCode(),
                plain(settings, workroom.hourlyRate()),
                plain(settings, workroom.overheads().perHour()),
                length(settings, settings.usualSeam()),
                length(settings, settings.usualThickestSeam()),
                workroom.setUps(),
                workroom.waste(),
                settings.freeMinutes().stream()
                        .map(minutes -> settings.decimalMark().in(hours(minutes)))
                        .toList(),
                new ShelfForm(
                        settings.valuing().school(),
                        settings.valuing().givenCostsNothing(),
                        settings.valuing().offcutsArePaid(),
                        length(settings, settings.offcutShort()),
                        length(settings, settings.offcutLong()),
                        Integer.toString(settings.offcutDays()),
                        percent(settings, settings.offcutUse().small()),
                        percent(settings, settings.offcutUse().large())),
                new CuttingForm(
                        Long.toString(settings.cutting().ruler().toSeconds()),
                        Long.toString(settings.cutting().cut().toSeconds()),
                        Long.toString(settings.cutting().piece().toSeconds()),
                        length(settings, settings.cutting().squaring()),
                        length(settings, settings.cutting().endTrim()),
                        length(settings, settings.cutting().keptLength()),
                        Long.toString(settings.cutting().curves().each().toSeconds()),
                        settings.cutting().curves().oneAtATime()),
                new ChangesForm(
                        minutes(settings, settings.changeTimes().of(Part.NEEDLE)),
                        minutes(settings, settings.changeTimes().of(Part.THREAD)),
                        minutes(settings, settings.changeTimes().of(Part.BOBBIN)),
                        minutes(settings, settings.changeTimes().of(Part.FOOT)),
                        minutes(settings, settings.changeTimes().of(Part.STITCH)),
                        minutes(settings, settings.changeTimes().of(Part.LENGTH)),
                        minutes(settings, settings.changeTimes().of(Part.HEAT)),
                        minutes(settings, settings.changeTimes().of(Part.STEAM)),
                        minutes(settings, settings.changeTimes().walk()),
                        minutes(settings, settings.changeTimes().turn())),
                new DaysForm(
                        settings.days().begins().toString(),
                        minutes(settings, settings.days().atOneGo()),
                        minutes(settings, settings.days().pause()),
                        minutes(settings, settings.days().preparing()),
                        minutes(settings, settings.days().clearing()),
                        Integer.toString(settings.days().people())),
                new EquipmentForm(settings.feet(), settings.needles()),
                settings.equipment().machines().stream()
                        .map(machine -> MachineReader.form(machine, length -> length(settings, length)))
                        .toList(),
                percent(settings, workroom.overheads().share()));
    }

    private static Settings.Days days(DaysForm form, FieldReader fields) {
        return new Settings.Days(
                fields.time("days.begins", form.begins()).orElse(LocalTime.MIDNIGHT),
                Duration.ofMinutes(fields.count("days.atOneGo", form.atOneGo(), 0, MOST_OF_A_DAY)),
                Duration.ofMinutes(fields.count("days.pause", form.pause(), 0, MOST_OF_A_DAY)),
                Duration.ofMinutes(fields.count("days.preparing", form.preparing(), 0, MOST_OF_A_DAY)),
                Duration.ofMinutes(fields.count("days.clearing", form.clearing(), 0, MOST_OF_A_DAY)),
                fields.count("days.people", form.people(), 1, 2));
    }

    /** A day's work ends before midnight. */
    private static void refuseAfterMidnight(List<Integer> freeMinutes, Settings.Days days, FieldReader fields) {
        int room = MINUTES_PER_DAY - days.begins().toSecondOfDay() / SECONDS_PER_MINUTE.intValue();
        for (int day = 0; day < freeMinutes.size(); day++) {
            if (freeMinutes.get(day) > room) {
                fields.refuse(
                        "freeHours." + day,
                        hours(freeMinutes.get(day)),
                        hours(freeMinutes.get(day)) + " hours from " + days.begins() + " on go beyond midnight. Begin"
                                + " earlier, or type at most " + hours(room) + ".");
            }
        }
    }

    private static String minutes(Settings settings, Duration time) {
        return settings.decimalMark()
                .in(BigDecimal.valueOf(time.toSeconds())
                        .divide(SECONDS_PER_MINUTE, 3, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString());
    }

    private static ChangeTimes changes(ChangesForm form, ChangeTimes before, FieldReader fields) {
        return new ChangeTimes(
                        Map.of(
                                Part.NEEDLE, minutes(fields, "changes.needle", form.needle()),
                                Part.THREAD, minutes(fields, "changes.thread", form.thread()),
                                Part.BOBBIN, minutes(fields, "changes.bobbin", form.bobbin(), before.of(Part.BOBBIN)),
                                Part.FOOT, minutes(fields, "changes.foot", form.foot()),
                                Part.STITCH, minutes(fields, "changes.stitch", form.stitch()),
                                Part.HEAT, minutes(fields, "changes.heat", form.heat(), before.of(Part.HEAT))),
                        minutes(fields, "changes.walk", form.walk()),
                        minutes(fields, "changes.turn", form.turn(), before.turn()))
                .withDials(minutes(fields, "changes.dial", form.dial(), before.of(Part.LENGTH)))
                .withPressing(minutes(fields, "changes.pressing", form.pressing(), before.of(Part.STEAM)));
    }

    private static Duration minutes(FieldReader fields, String field, @Nullable String typed, Duration before) {
        return typed == null ? before : minutes(fields, field, typed);
    }

    /** Minutes as they are typed, to the second. */
    private static Duration minutes(FieldReader fields, String field, String typed) {
        return Duration.ofSeconds(fields.decimal(field, typed, BigDecimal.ZERO, MOST_MINUTES)
                .multiply(SECONDS_PER_MINUTE)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    @Transactional
    public SettingsForm save(SettingsForm form) {
        Settings settings = forChange(form.version());
        settings.enter(read(form, settings));
        keep(settings);
        return form();
    }

    /** The settings for a change of a part of them, unless somebody has changed them since they were read. */
    public Settings forChange(long version) {
        Settings settings = current();
        ChangedMeanwhileException.check("What stands in the settings", version, settings.version());
        return settings;
    }

    /** Keeps what was changed; inside the caller's transaction. */
    public void keep(Settings settings) {
        repository.saveAndFlush(settings);
    }

    private Entered read(SettingsForm form, Settings before) {
        FieldReader fields = new FieldReader();
        CurrencyUnit currency = currency(fields, form.currency(), before);
        Length seam = fields.positiveLength(
                "usualSeam", form.usualSeam(), form.unitSystem().smallUnit(), WIDEST_SEAM);
        List<Integer> free = new ArrayList<>();
        for (int day = 0; day < form.freeHours().size(); day++) {
            BigDecimal hours = fields.decimal(
                    "freeHours." + day, form.freeHours().get(day), BigDecimal.ZERO, BigDecimal.valueOf(16));
            free.add(hours.multiply(MINUTES_PER_HOUR)
                    .setScale(0, RoundingMode.HALF_UP)
                    .intValueExact());
        }
        Entered entered = new Entered(
                form.unitSystem(),
                form.inchStep(),
                form.decimalMark() == null ? before.decimalMark() : form.decimalMark(),
                currency,
                fields.money("hourlyRate", form.hourlyRate(), currency),
                fields.money("overheadPerHour", form.overheadPerHour(), currency),
                form.overheadShare() == null
                        ? before.workroom().overheads().share()
                        : fields.share("overheadShare", form.overheadShare().isBlank() ? "0" : form.overheadShare()),
                seam,
                fields.positiveLength(
                        "thickestSeam", form.thickestSeam(), form.unitSystem().smallUnit(), WIDEST_SEAM),
                form.setUps() == null ? before.workroom().setUps() : form.setUps(),
                form.waste() == null ? before.workroom().waste() : form.waste(),
                free,
                form.shelf() == null
                        ? before.shelf()
                        : shelf(form.shelf(), fields, form.unitSystem().smallUnit(), before),
                form.cutting() == null
                        ? before.cutting()
                        : cutting(
                                form.cutting(),
                                fields,
                                form.unitSystem().smallUnit(),
                                before.cutting().curves()),
                form.changes() == null ? before.changeTimes() : changes(form.changes(), before.changeTimes(), fields),
                form.days() == null ? before.days() : days(form.days(), fields),
                form.equipment() == null
                        ? before.feet()
                        : form.equipment().feet().strip(),
                form.equipment() == null
                        ? before.needles()
                        : form.equipment().needles().strip(),
                form.machines() == null
                        ? MachineReader.kept(before.equipment().machines())
                        : new MachineReader(fields, form.unitSystem().smallUnit(), WIDEST_SEAM)
                                .read(form.machines(), before.equipment().machines()));
        refuseAfterMidnight(free, entered.days(), fields);
        fields.check();
        return entered;
    }

    private static Settings.Shelf shelf(ShelfForm form, FieldReader fields, LengthUnit bare, Settings before) {
        Length shortSide = fields.positiveLength("shelf.offcutShort", form.offcutShort(), bare, WIDEST_OFFCUT);
        Length longSide = fields.positiveLength("shelf.offcutLong", form.offcutLong(), bare, WIDEST_OFFCUT);
        if (shortSide.isLongerThan(longSide)) {
            fields.refuse(
                    "shelf.offcutLong",
                    form.offcutLong(),
                    "“" + form.offcutLong() + "” is less than the shorter side. Type at least as much.");
        }
        return new Settings.Shelf(
                new Valuing(form.valueSchool(), form.givenCostsNothing(), form.offcutsArePaid()),
                shortSide,
                longSide,
                fields.count("shelf.offcutDays", form.offcutDays(), 1, 3650),
                new OffcutUse(
                        likely(
                                fields,
                                "shelf.useSmall",
                                form.useSmall(),
                                before.offcutUse().small()),
                        likely(
                                fields,
                                "shelf.useLarge",
                                form.useLarge(),
                                before.offcutUse().large())));
    }

    private static BigDecimal likely(FieldReader fields, String field, @Nullable String typed, BigDecimal before) {
        return typed == null
                ? before
                : fields.decimal(field, typed, BigDecimal.ZERO, BigDecimal.valueOf(100))
                        .movePointLeft(2);
    }

    private static Settings.Cutting cutting(CuttingForm form, FieldReader fields, LengthUnit bare, Curves before) {
        return new Settings.Cutting(
                seconds(fields, "cutting.rulerSeconds", form.rulerSeconds()),
                seconds(fields, "cutting.cutSeconds", form.cutSeconds()),
                seconds(fields, "cutting.pieceSeconds", form.pieceSeconds()),
                atMost(fields, "squaring", form.squaring(), bare, "is more than squares an end"),
                atMost(fields, "endTrim", form.endTrim(), bare, "is more than trims an end"),
                atMost(fields, "keptLength", form.keptLength(), bare, "is more than a left-over"),
                new Curves(
                        form.curveSeconds() == null
                                ? before.each()
                                : seconds(fields, "cutting.curveSeconds", form.curveSeconds()),
                        form.curvesByScissors() == null ? before.oneAtATime() : form.curvesByScissors()));
    }

    private static Length atMost(FieldReader fields, String name, String typed, LengthUnit bare, String tooMuch) {
        Length length = fields.length("cutting." + name, typed, bare);
        if (length.isLongerThan(LONGEST_END)) {
            fields.refuse("cutting." + name, typed, "“" + typed + "” " + tooMuch + ". Type at most 20 cm, or 8 in.");
        }
        return length;
    }

    private static Duration seconds(FieldReader fields, String name, String typed) {
        return Duration.ofSeconds(fields.count(name, typed, 0, MOST_SECONDS));
    }

    private CurrencyUnit currency(FieldReader fields, String code, Settings before) {
        CurrencyUnit currency;
        try {
            currency = CurrencyUnit.of(code.strip().toUpperCase(Locale.ROOT));
        } catch (IllegalCurrencyException unknown) {
            fields.refuse(
                    "currency",
                    code,
                    "“" + code + "” isn't a currency's code. Type its three letters, like EUR or USD.");
            return before.currency();
        }
        boolean otherCoins = currency.getDecimalPlaces() != before.currency().getDecimalPlaces();
        if (otherCoins && money.stream().anyMatch(HoldsMoney::holdsMoney)) {
            fields.refuse(
                    "currency",
                    code,
                    currency.getCode() + " has other coins than "
                            + before.currency().getCode() + ", and prices are stored already. The currency stays "
                            + before.currency().getCode() + ".");
        }
        return currency;
    }

    private static String plain(Settings settings, Money money) {
        return settings.decimalMark().in(money.getAmount().toPlainString());
    }

    private static String percent(Settings settings, BigDecimal share) {
        return settings.decimalMark()
                .in(share.movePointRight(2).stripTrailingZeros().toPlainString());
    }

    /** As it is stored; as long as nobody has saved the settings, in round figures of the maker's own unit. */
    private static String length(Settings settings, Length length) {
        boolean isMetric = settings.unitSystem() == UnitSystem.METRIC;
        long half = HALF_CENTIMETRE.nanometres();
        Length shown = settings.areEntered() || !isMetric || length.compareTo(WORTH_ROUNDING) < 0
                ? length
                : new Length(Math.round((double) length.nanometres() / half) * half);
        return settings.decimalMark().in(LengthWriter.exactly(shown, settings.unitSystem()));
    }

    private static String hours(int minutes) {
        return BigDecimal.valueOf(minutes)
                .divide(MINUTES_PER_HOUR, 2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
