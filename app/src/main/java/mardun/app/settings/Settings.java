package mardun.app.settings;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.channel.KeptChannel;
import mardun.app.id.ChannelId;
import mardun.app.show.DecimalMark;
import mardun.app.show.ViewWriter;
import mardun.core.batch.Workroom;
import mardun.core.costing.LabourRates;
import mardun.core.costing.Overheads;
import mardun.core.costing.WasteSchool;
import mardun.core.cutting.CuttingTerms.Curves;
import mardun.core.cutting.OffcutUse;
import mardun.core.making.ChangeTimes;
import mardun.core.making.Equipment;
import mardun.core.making.Machine;
import mardun.core.making.SetUp.Part;
import mardun.core.making.SetUpSpread;
import mardun.core.making.Station;
import mardun.core.making.WorkKind;
import mardun.core.material.ValueSchool;
import mardun.core.material.Valuing;
import mardun.core.measure.InchStep;
import mardun.core.measure.Length;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import mardun.core.planning.FreeTime;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.TaxThreshold;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** What the maker has settled once for the workroom; there is one row. */
@Entity
public class Settings {

    static final int ONLY = 1;

    @Id
    private int id;

    @Version
    private long version;

    @Enumerated(EnumType.STRING)
    private UnitSystem unitSystem;

    @Enumerated(EnumType.STRING)
    private InchStep inchStep;

    private String currency;
    private long hourlyRateMinor;
    private long overheadPerHourMinor;
    private BigDecimal overheadShare = BigDecimal.ZERO;

    @Convert(converter = StoredRates.class)
    private Map<WorkKind, Long> labourRates = Map.of();

    private long usualSeamNm;
    private long thickestSeamNm;

    private ChannelId usualChannelId;

    @Transient
    private KeptChannel usualChannel;

    private BigDecimal priceMultiple;
    private @Nullable Long leastRateMinor;
    private @Nullable Long taxThresholdMinor;
    private boolean feesInside;
    private String ownPrices;
    private boolean priceToNearest;

    @Enumerated(EnumType.STRING)
    private PriceSchool priceSchool;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredSchools.class)
    private Map<String, PriceSchool> schoolsBySort;

    private BigDecimal priceFactor;
    private BigDecimal priceMargin;
    private BigDecimal priceMarkup;

    @Enumerated(EnumType.STRING)
    private PricePoint pricePoint;

    private String freeMinutes;

    @Enumerated(EnumType.STRING)
    private ValueSchool valueSchool;

    private boolean givenCostsNothing;
    private boolean offcutsArePaid;
    private long offcutShortNm;
    private long offcutLongNm;
    private int offcutDays;
    private int needleSeconds;
    private int threadSeconds;
    private int footSeconds;
    private int stitchSeconds;
    private int walkSeconds;
    private int dayBeginsMinute;
    private int atOneGoMinutes;
    private int pauseMinutes;
    private int preparingMinutes;
    private int clearingMinutes;
    private int people;
    private String feet;
    private String needles;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredMachines.class)
    private List<Machine> machines;

    private int machineNumbers;
    private int bobbinSeconds;
    private int dialSeconds;
    private int heatSeconds;
    private int pressingSeconds;
    private int turnSeconds;
    private int rulerSeconds;
    private int cutSeconds;
    private int pieceSeconds;
    private int curveSeconds;
    private boolean curvesByScissors;
    private long squaringNm;
    private long endTrimNm;
    private long keptLengthNm;
    private BigDecimal offcutUseSmall;
    private BigDecimal offcutUseLarge;

    @Enumerated(EnumType.STRING)
    private SetUpSpread setUps;

    @Enumerated(EnumType.STRING)
    private WasteSchool waste;

    @Enumerated(EnumType.STRING)
    private DecimalMark decimalMark;

    protected Settings() {}

    /** What a form says about the settings, read and checked. */
    record Entered(
            UnitSystem unitSystem,
            InchStep inchStep,
            DecimalMark decimalMark,
            CurrencyUnit currency,
            long hourlyRateMinor,
            long overheadPerHourMinor,
            BigDecimal overheadShare,
            Length usualSeam,
            Length thickestSeam,
            SetUpSpread setUps,
            WasteSchool waste,
            List<Integer> freeMinutes,
            Shelf shelf,
            Cutting cutting,
            ChangeTimes changes,
            Days days,
            String feet,
            String needles,
            List<EnteredMachine> machines) {}

    /**
     * A machine as it was entered.
     *
     * @param id empty for one that is new
     */
    record EnteredMachine(
            Optional<Integer> id,
            String name,
            Station kind,
            Set<Machine.Ability> abilities,
            Optional<Length> thickest) {

        Machine as(int number) {
            return new Machine(Integer.toString(number), name, kind, abilities, thickest);
        }
    }

    /** How a day at the bench goes: when it begins, and what of it isn't worked. */
    public record Days(
            LocalTime begins, Duration atOneGo, Duration pause, Duration preparing, Duration clearing, int people) {}

    /**
     * How what lies on the shelf is valued, and which offcuts are kept.
     *
     * @param offcutShort the shorter side of the smallest offcut that is kept
     * @param offcutLong its longer side
     * @param offcutDays after so many days a small one may go into the scrap bag
     * @param use how likely offcuts are to be used some day
     */
    record Shelf(Valuing valuing, Length offcutShort, Length offcutLong, int offcutDays, OffcutUse use) {}

    /**
     * How long cutting takes, and what is lost and kept of an end.
     *
     * @param ruler setting it to another height of strip
     * @param cut one cut through all layers
     * @param piece taking up one piece
     * @param squaring what is cut off the end of a bolt to square it; zero for nothing
     * @param endTrim what is cut off the end of a roll of trim; zero for nothing
     * @param keptLength the shortest left-over length of trim that is kept
     * @param curves how outlines are cut along a template
     */
    public record Cutting(
            Duration ruler,
            Duration cut,
            Duration piece,
            Length squaring,
            Length endTrim,
            Length keptLength,
            Curves curves) {}

    void enter(Entered entered) {
        unitSystem = entered.unitSystem();
        inchStep = entered.inchStep();
        decimalMark = entered.decimalMark();
        currency = entered.currency().getCode();
        hourlyRateMinor = entered.hourlyRateMinor();
        overheadPerHourMinor = entered.overheadPerHourMinor();
        overheadShare = entered.overheadShare();
        usualSeamNm = entered.usualSeam().nanometres();
        thickestSeamNm = entered.thickestSeam().nanometres();
        freeMinutes = entered.freeMinutes().stream().map(String::valueOf).collect(Collectors.joining(","));
        valueSchool = entered.shelf().valuing().school();
        givenCostsNothing = entered.shelf().valuing().givenCostsNothing();
        setUps = entered.setUps();
        waste = entered.waste();
        offcutsArePaid = entered.shelf().valuing().offcutsArePaid();
        offcutShortNm = entered.shelf().offcutShort().nanometres();
        offcutLongNm = entered.shelf().offcutLong().nanometres();
        offcutDays = entered.shelf().offcutDays();
        offcutUseSmall = entered.shelf().use().small();
        offcutUseLarge = entered.shelf().use().large();
        needleSeconds = seconds(entered, Part.NEEDLE);
        threadSeconds = seconds(entered, Part.THREAD);
        bobbinSeconds = seconds(entered, Part.BOBBIN);
        footSeconds = seconds(entered, Part.FOOT);
        stitchSeconds = seconds(entered, Part.STITCH);
        dialSeconds = seconds(entered, Part.LENGTH);
        heatSeconds = seconds(entered, Part.HEAT);
        pressingSeconds = seconds(entered, Part.STEAM);
        walkSeconds = Math.toIntExact(entered.changes().walk().toSeconds());
        turnSeconds = Math.toIntExact(entered.changes().turn().toSeconds());
        machines = entered.machines().stream()
                .map(machine -> machine.as(machine.id().orElseGet(() -> ++machineNumbers)))
                .toList();
        dayBeginsMinute = entered.days().begins().toSecondOfDay() / 60;
        atOneGoMinutes = Math.toIntExact(entered.days().atOneGo().toMinutes());
        pauseMinutes = Math.toIntExact(entered.days().pause().toMinutes());
        preparingMinutes = Math.toIntExact(entered.days().preparing().toMinutes());
        clearingMinutes = Math.toIntExact(entered.days().clearing().toMinutes());
        people = entered.days().people();
        feet = entered.feet();
        needles = entered.needles();
        rulerSeconds = Math.toIntExact(entered.cutting().ruler().toSeconds());
        cutSeconds = Math.toIntExact(entered.cutting().cut().toSeconds());
        pieceSeconds = Math.toIntExact(entered.cutting().piece().toSeconds());
        curveSeconds = Math.toIntExact(entered.cutting().curves().each().toSeconds());
        curvesByScissors = entered.cutting().curves().oneAtATime();
        squaringNm = entered.cutting().squaring().nanometres();
        endTrimNm = entered.cutting().endTrim().nanometres();
        keptLengthNm = entered.cutting().keptLength().nanometres();
    }

    private static int seconds(Entered entered, Part part) {
        return Math.toIntExact(entered.changes().of(part).toSeconds());
    }

    public long version() {
        return version;
    }

    /** Whether the maker has ever saved them. */
    public boolean areEntered() {
        return version > 0;
    }

    public UnitSystem unitSystem() {
        return unitSystem;
    }

    InchStep inchStep() {
        return inchStep;
    }

    public CurrencyUnit currency() {
        return CurrencyUnit.of(currency);
    }

    public Money money(long minor) {
        return Money.ofMinor(currency(), minor);
    }

    public Length usualSeam() {
        return new Length(usualSeamNm);
    }

    /** The thickest seam that any of the machines sews. */
    public Length thickestSeam() {
        return equipment().thickestSeam(usualThickestSeam());
    }

    /** The thickest seam that a machine sews of which nothing else is said. */
    Length usualThickestSeam() {
        return new Length(thickestSeamNm);
    }

    /** How what lies on the shelf is valued. */
    public Valuing valuing() {
        return new Valuing(valueSchool, givenCostsNothing, offcutsArePaid);
    }

    /** The shorter side of the smallest offcut that is kept. */
    public Length offcutShort() {
        return new Length(offcutShortNm);
    }

    /** The longer side of the smallest offcut that is kept. */
    public Length offcutLong() {
        return new Length(offcutLongNm);
    }

    /** After so many days a small offcut may go into the scrap bag. */
    public int offcutDays() {
        return offcutDays;
    }

    Shelf shelf() {
        return new Shelf(valuing(), offcutShort(), offcutLong(), offcutDays, offcutUse());
    }

    /** How likely offcuts are to be used some day. */
    public OffcutUse offcutUse() {
        return new OffcutUse(offcutUseSmall, offcutUseLarge);
    }

    /** The mark before decimals, in figures, on papers and in lists. */
    public DecimalMark decimalMark() {
        return decimalMark;
    }

    /** How long cutting takes, and what is lost and kept of an end. */
    public Cutting cutting() {
        return new Cutting(
                Duration.ofSeconds(rulerSeconds),
                Duration.ofSeconds(cutSeconds),
                Duration.ofSeconds(pieceSeconds),
                new Length(squaringNm),
                new Length(endTrimNm),
                new Length(keptLengthNm),
                new Curves(Duration.ofSeconds(curveSeconds), curvesByScissors));
    }

    /** How long it takes to change what is on a machine, and to go to another station. */
    public ChangeTimes changeTimes() {
        return new ChangeTimes(
                        Map.of(
                                Part.NEEDLE, Duration.ofSeconds(needleSeconds),
                                Part.THREAD, Duration.ofSeconds(threadSeconds),
                                Part.BOBBIN, Duration.ofSeconds(bobbinSeconds),
                                Part.FOOT, Duration.ofSeconds(footSeconds),
                                Part.STITCH, Duration.ofSeconds(stitchSeconds),
                                Part.HEAT, Duration.ofSeconds(heatSeconds)),
                        Duration.ofSeconds(walkSeconds),
                        Duration.ofSeconds(turnSeconds))
                .withDials(Duration.ofSeconds(dialSeconds))
                .withPressing(Duration.ofSeconds(pressingSeconds));
    }

    /** How the maker comes to prices from now on. */
    public void price(PriceChoice choice, KeptChannel channel) {
        usualChannelId = channel.id();
        usualChannel = channel;
        priceSchool = choice.school();
        priceFactor = choice.factor();
        priceMargin = choice.margin();
        priceMarkup = choice.markup();
        priceMultiple = choice.multiple();
        leastRateMinor = choice.leastRate().map(Money::getAmountMinorLong).orElse(null);
        feesInside = choice.feesInside();
        pricePoint = choice.rounding().point();
        ownPrices = choice.rounding().own().stream()
                .map(own -> Long.toString(own.getAmountMinorLong()))
                .collect(Collectors.joining(","));
        priceToNearest = choice.rounding().toNearest();
        schoolsBySort = choice.bySort();
    }

    /** What an hour of the kinds of work is worth that are paid otherwise than usual, from now on. */
    public void rates(Map<WorkKind, Money> others) {
        labourRates = others.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, rate -> rate.getValue().getAmountMinorLong()));
    }

    /** From how much that is sold in a year tax is asked for from now on; empty where that isn't said. */
    public void taxThreshold(Optional<TaxThreshold> threshold) {
        taxThresholdMinor =
                threshold.map(its -> its.aYear().getAmountMinorLong()).orElse(null);
    }

    public Optional<TaxThreshold> taxThreshold() {
        return Optional.ofNullable(taxThresholdMinor).map(minor -> new TaxThreshold(money(minor)));
    }

    /** What an hour at the bench bears of overheads from now on. */
    public void overheads(Money anHour) {
        overheadPerHourMinor = anHour.getAmountMinorLong();
    }

    ChannelId usualChannelId() {
        return usualChannelId;
    }

    /** The usual channel as it is now; settings are read together with it. */
    Settings selling(KeptChannel channel) {
        usualChannel = channel;
        return this;
    }

    /** The channel whose prices tickets show. */
    public KeptChannel usualChannel() {
        return usualChannel;
    }

    private PriceChoice prices() {
        return new PriceChoice(
                priceSchool,
                priceFactor,
                priceMargin,
                priceMarkup,
                priceMultiple,
                Optional.ofNullable(leastRateMinor).map(this::money),
                feesInside,
                new PriceRounding(
                        pricePoint,
                        Arrays.stream(ownPrices.split(","))
                                .filter(own -> !own.isEmpty())
                                .map(own -> money(Long.parseLong(own)))
                                .toList(),
                        priceToNearest),
                schoolsBySort);
    }

    /** Rates, the terms of the usual channel and the way of pricing, for the core. */
    public Workroom workroom() {
        Map<WorkKind, Money> otherRates = labourRates.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, rate -> money(rate.getValue())));
        return new Workroom(
                money(hourlyRateMinor),
                new Overheads(money(overheadPerHourMinor), overheadShare),
                usualChannel.channel(new LabourRates(money(hourlyRateMinor), otherRates)),
                prices(),
                thickestSeam(),
                new Length(endTrimNm),
                new Length(keptLengthNm),
                setUps,
                waste,
                otherRates);
    }

    /** The minutes that are free at the bench on each day of the week, Monday first. */
    List<Integer> freeMinutes() {
        return Arrays.stream(freeMinutes.split(",")).map(Integer::valueOf).toList();
    }

    /** The maker's machines, and what she has to put on them. */
    public Equipment equipment() {
        return Equipment.of(machines, feet, needles);
    }

    String feet() {
        return feet;
    }

    String needles() {
        return needles;
    }

    public Days days() {
        return new Days(
                LocalTime.MIN.plusMinutes(dayBeginsMinute),
                Duration.ofMinutes(atOneGoMinutes),
                Duration.ofMinutes(pauseMinutes),
                Duration.ofMinutes(preparingMinutes),
                Duration.ofMinutes(clearingMinutes),
                people);
    }

    /** The free time of a usual week, with some days on which it is otherwise. */
    public FreeTime freeTime(Map<LocalDate, Duration> others) {
        Days days = days();
        return new FreeTime(
                usualWeek(),
                others,
                days.begins(),
                days.atOneGo(),
                days.pause(),
                days.preparing(),
                days.clearing(),
                days.people());
    }

    private Map<DayOfWeek, Duration> usualWeek() {
        Map<DayOfWeek, Duration> free = new EnumMap<>(DayOfWeek.class);
        List<Integer> minutes = freeMinutes();
        for (DayOfWeek day : DayOfWeek.values()) {
            free.put(day, Duration.ofMinutes(minutes.get(day.getValue() - 1)));
        }
        return free;
    }

    /** Writes figures in these units and this currency. */
    public ViewWriter writer() {
        return new ViewWriter(unitSystem, new LengthWriter(inchStep), currency(), decimalMark);
    }
}
