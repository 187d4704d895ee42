package mardun.app.design;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.annotation.JsonFormat;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import mardun.app.id.MaterialId;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.SideEdge;
import mardun.core.design.Casing;
import mardun.core.design.ClothFold;
import mardun.core.design.DrawnOutline;
import mardun.core.design.Edges;
import mardun.core.design.FillingNeed;
import mardun.core.design.Gather;
import mardun.core.design.Mark;
import mardun.core.design.Measurement;
import mardun.core.design.NotionNeed;
import mardun.core.design.OpenChoice;
import mardun.core.design.Panel;
import mardun.core.design.Piece;
import mardun.core.design.Role;
import mardun.core.design.SetAside;
import mardun.core.design.Shape;
import mardun.core.design.Source;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;
import mardun.core.kind.Choice;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.making.Lay;
import mardun.core.making.Prompt;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;
import mardun.core.measure.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * A design as it is edited, stored and frozen into batches: a whole, with all values as they were typed. Lengths are
 * texts with a unit, or formulas over the measurements' symbols. {@link DocumentLimits} says how much goes in.
 *
 * @param sort what sort of thing it is, in the maker's word: pouch, tote, wallet
 * @param sizeKeys what each size is known by, whatever it is called; absent in documents from before sizes could be renamed
 * @param begun the kind of bag and the choices that it was begun with; absent where it was drawn by hand
 * @param usualUnits how many are usually made at once; the ticket's figures are for a batch of this size
 * @param openChoices what is chosen for each design, line or order; absent where nothing is left open
 * @param paper what the pattern on paper says of its parts, beside what is used here; absent where nobody noted anything
 */
public record DesignDocument(
        String name,
        String sort,
        String note,
        List<String> sizes,
        @Nullable List<String> sizeKeys,
        @Min(1) @Max(5000) int usualUnits,
        List<Measurement> measurements,
        FormRow form,
        List<PieceRow> pieces,
        List<PanelRow> panels,
        List<TrimNeed> trims,
        List<NotionNeed> notions,
        List<FillingNeed> fillings,
        List<ZipFit> zips,
        List<Strap> straps,
        List<Casing> casings,
        @Nullable List<Gather> gathers,
        List<StepRow> steps,
        List<SlotRow> slots,
        Source source,
        boolean forChildren,
        List<SetAside> setAside,
        @Nullable Begun begun,
        @Nullable List<OpenChoice> openChoices,
        @Nullable List<PaperSays> paper) {

    /**
     * What the pattern on paper says of a part of the design.
     *
     * @param place the part, as findings point at it: {@code measurements.seam}, {@code pieces.A}, {@code slots.outer}, {@code steps.zip}
     * @param says in its own words
     */
    public record PaperSays(String place, String says) {}

    /**
     * What a design was begun from, so that its choices can be changed later.
     *
     * @param chosen one option for each choice of the kind
     * @param system the units in which its usual measures are
     * @param seam the seam allowance that was the maker's usual one
     */
    public record Begun(Kind kind, Known known, Map<Choice, Option> chosen, UnitSystem system, String seam) {}

    /** This design under another name. */
    public DesignDocument named(String newName) {
        return with(newName, sizes, sizeKeys, measurements, fillings, steps, slots);
    }

    /** This design with other values for its measurements. */
    public DesignDocument measured(List<Measurement> newMeasurements) {
        return with(name, sizes, sizeKeys, newMeasurements, fillings, steps, slots);
    }

    /** This design with other sizes, and what differs by size. */
    DesignDocument sized(
            List<String> newSizes,
            List<String> newSizeKeys,
            List<Measurement> newMeasurements,
            List<FillingNeed> newFillings) {
        return with(name, newSizes, newSizeKeys, newMeasurements, newFillings, steps, slots);
    }

    /** This design with a key for each size: those that it has, and new ones where they are missing. */
    DesignDocument keyed() {
        if (sizeKeys != null
                && sizeKeys.size() == sizes.size()
                && Set.copyOf(sizeKeys).size() == sizes.size()) {
            return this;
        }
        List<String> keys = new ArrayList<>();
        for (int i = 0; i < sizes.size(); i++) {
            keys.add("s" + (i + 1));
        }
        return with(name, sizes, keys, measurements, fillings, steps, slots);
    }

    /** This design without materials that there aren't any more. */
    DesignDocument withMaterialsOf(Set<MaterialId> there) {
        List<SlotRow> newSlots = slots.stream()
                .map(slot ->
                        slot.materialId() == null || there.contains(slot.materialId()) ? slot : slot.filledWith(null))
                .toList();
        List<StepRow> newSteps =
                steps.stream().map(step -> step.threadedWith(there)).toList();
        return with(name, sizes, sizeKeys, measurements, fillings, newSteps, newSlots);
    }

    /** A key that no size has yet. */
    String freeSizeKey() {
        List<String> taken = keyed().sizeKeys;
        int number = taken.size() + 1;
        while (taken.contains("s" + number)) {
            number++;
        }
        return "s" + number;
    }

    /** The place of a size, by its key, or where nobody kept that by its name; empty if there is no such size any more. */
    public OptionalInt indexOf(@Nullable String sizeKey, String sizeName) {
        int index = sizeKey == null ? sizes.indexOf(sizeName) : keyed().sizeKeys.indexOf(sizeKey);
        return index < 0 ? OptionalInt.empty() : OptionalInt.of(index);
    }

    /** What the size with that name is known by. */
    public String sizeKey(String sizeName) {
        return keyed().sizeKeys.get(sizes.indexOf(sizeName));
    }

    /** This design with other materials in its slots. */
    public DesignDocument filled(List<SlotRow> newSlots) {
        return with(name, sizes, sizeKeys, measurements, fillings, steps, newSlots);
    }

    /** This design with other choices, and with its pieces and panels marked otherwise. */
    DesignDocument leaving(List<OpenChoice> others, List<PieceRow> newPieces, List<PanelRow> newPanels) {
        return new DesignDocument(
                name,
                sort,
                note,
                sizes,
                sizeKeys,
                usualUnits,
                measurements,
                form,
                newPieces,
                newPanels,
                trims,
                notions,
                fillings,
                zips,
                straps,
                casings,
                gathers,
                steps,
                slots,
                source,
                forChildren,
                setAside,
                begun,
                others,
                paper);
    }

    /** What the design leaves open. */
    public List<OpenChoice> leftOpen() {
        return openChoices == null ? List.of() : openChoices;
    }

    /**
     * This design as it is made with some choices: nothing is left open any more.
     *
     * @param picks keys of alternatives by the keys of their choices; the usual ones where nothing is said
     */
    public DesignDocument chosen(Map<String, String> picks) {
        return leftOpen().isEmpty() ? this : DocumentChoices.chosen(this, picks);
    }

    /** This design as it is usually made. */
    public DesignDocument asUsual() {
        return chosen(Map.of());
    }

    /** This design with other steps. */
    public DesignDocument withSteps(List<StepRow> newSteps) {
        return with(name, sizes, sizeKeys, measurements, fillings, newSteps, slots);
    }

    private DesignDocument with(
            String newName,
            List<String> newSizes,
            @Nullable List<String> newSizeKeys,
            List<Measurement> newMeasurements,
            List<FillingNeed> newFillings,
            List<StepRow> newSteps,
            List<SlotRow> newSlots) {
        return new DesignDocument(
                newName,
                sort,
                note,
                newSizes,
                newSizeKeys,
                usualUnits,
                newMeasurements,
                form,
                pieces,
                panels,
                trims,
                notions,
                newFillings,
                zips,
                straps,
                casings,
                gathers,
                newSteps,
                newSlots,
                source,
                forChildren,
                setAside,
                begun,
                openChoices,
                paper);
    }

    /**
     * How the bag comes together.
     *
     * @param outer letter of the outside's piece or panel; empty if there is none
     * @param lining letter of the lining's piece or panel; empty if there is none
     * @param other letter of the gusset or the round base; empty where the form has none
     * @param sides how the faces of a boxed bag are joined; absent for a seam on each side
     * @param measures formulas of the form's seams and measures, by their keys
     */
    public record FormRow(
            FormKind kind,
            String outer,
            String lining,
            String other,
            BoxingSchool school,
            BaseEdge base,
            @Nullable SideEdge sides,
            Map<String, String> measures) {}

    /**
     * Something cut from cloth.
     *
     * @param meetsPrint all of its kind begin at the same height of the print; absent for not
     * @param overSelvage the woven edge of the cloth may lie inside it; absent for not
     */
    public record PieceRow(
            String letter,
            String name,
            Role role,
            String slot,
            String quantity,
            @Min(1) @Max(20) int layers,
            String width,
            String height,

            @JsonAlias("shape") @JsonFormat(with = JsonFormat.Feature.ACCEPT_SINGLE_VALUE_AS_ARRAY)
            List<ShapeRow> shapes,

            Edges edges,
            boolean directional,
            @Nullable Boolean meetsPrint,
            @Nullable Boolean overSelvage,
            ClothFold fold,
            boolean boxed,
            @Nullable String backs,
            Piece.@Nullable TrimTo trimTo,
            List<MarkRow> marks) {

        /** Designs that were stored when a piece had one shape say so of a plain rectangle too. */
        public PieceRow {
            shapes = shapes == null
                    ? List.of()
                    : shapes.stream()
                            .filter(shape -> shape == null || shape.kind() != Shape.Kind.RECTANGLE)
                            .toList();
        }

        /** This piece with other marks. */
        PieceRow marked(List<MarkRow> others) {
            return with(backs, others);
        }

        /** This piece, backing no other. */
        PieceRow backingNothing() {
            return with(null, marks);
        }

        private PieceRow with(@Nullable String otherBacks, List<MarkRow> otherMarks) {
            return new PieceRow(
                    letter,
                    name,
                    role,
                    slot,
                    quantity,
                    layers,
                    width,
                    height,
                    shapes,
                    edges,
                    directional,
                    meetsPrint,
                    overSelvage,
                    fold,
                    boxed,
                    otherBacks,
                    trimTo,
                    otherMarks);
        }
    }

    /**
     * What is cut away from a piece's rectangle.
     *
     * @param drawn of an outline that is drawn by hand; absent of every other
     */
    public record ShapeRow(
            Shape.Kind kind,
            Shape.Place place,
            String across,
            String along,
            @Nullable DrawnRow drawn) {}

    /** An outline drawn by hand. */
    public record DrawnRow(
            List<DrawnOutline.DrawnPoint> points,
            boolean mirrored,
            DrawnOutline.Line line,
            DrawnOutline.Tips tips,
            String tallerAt,
            String tallerBy) {}

    /**
     * Something marked on a piece or a panel.
     *
     * @param acrossFrom absent for the left edge
     * @param downFrom absent for the top edge
     * @param closing of a half of a fastener; absent for as the pieces let suppose
     * @param only the key of the one alternative with which it is there; absent for always
     */
    public record MarkRow(
            Mark.Kind kind,
            String label,
            Mark.From from,
            String across,
            String down,
            String width,
            String height,
            @Nullable String pair,
            Mark.Half half,
            Mark.@Nullable AcrossFrom acrossFrom,
            Mark.@Nullable DownFrom downFrom,
            Mark.@Nullable Closing closing,
            @Nullable String only) {

        /** This mark, there with every alternative. */
        MarkRow always() {
            return new MarkRow(
                    kind, label, from, across, down, width, height, pair, half, acrossFrom, downFrom, closing, null);
        }
    }

    /** A face sewn together from parts. */
    public record PanelRow(
            String letter,
            String name,
            Panel.Direction direction,
            List<Panel.Part> parts,
            String join,
            Piece.@Nullable TrimTo trimTo,
            List<MarkRow> marks) {

        /** This panel of other parts, with other marks. */
        PanelRow of(List<Panel.Part> others, List<MarkRow> otherMarks) {
            return new PanelRow(letter, name, direction, others, join, trimTo, otherMarks);
        }
    }

    /**
     * An operation.
     *
     * @param minutesPerUnit as typed: minutes, or so many an hour like {@code 12/h}
     * @param after the keys of the steps that come before
     * @param uses the letters of what goes through the machine or the press, with their layers and, where that is said, the edges along which they are sewn: {@code 2A top, 2B, C}
     * @param details what else there is to the set-up; absent in what was stored before there was more, for nothing
     * @param prompts what is shown within it, one after another; absent in what was stored before there were any
     * @param goesOn what is half made can't be put away after it, being pinned, wet or loose; absent for it can
     * @param lay how its pieces lie on one another; absent where that isn't said
     */
    public record StepRow(
            String key,
            String name,
            Stage stage,
            Station station,
            String needle,
            String thread,
            String foot,
            String stitch,
            String minutesPerUnit,
            String minutesPerBatch,
            String passiveMinutes,
            String check,
            String caution,
            String note,
            List<String> after,
            String uses,
            @Nullable SetUpDetails details,
            @Nullable List<PromptRow> prompts,
            @Nullable Boolean goesOn,
            @Nullable Lay lay) {

        public StepRow {
            details = details == null ? SetUpDetails.NONE : details;
            prompts = prompts == null ? List.of() : prompts;
            goesOn = Boolean.TRUE.equals(goesOn);
        }

        private StepRow with(
                String newKey,
                String newMinutesPerUnit,
                String newMinutesPerBatch,
                List<String> newAfter,
                String newUses,
                SetUpDetails newDetails,
                List<PromptRow> newPrompts) {
            return new StepRow(
                    newKey,
                    name,
                    stage,
                    station,
                    needle,
                    thread,
                    foot,
                    stitch,
                    newMinutesPerUnit,
                    newMinutesPerBatch,
                    passiveMinutes,
                    check,
                    caution,
                    note,
                    newAfter,
                    newUses,
                    newDetails,
                    newPrompts,
                    goesOn,
                    lay);
        }

        /** This step by another key, after others, with other things going through. */
        StepRow placed(String newKey, List<String> newAfter, String newUses) {
            return with(newKey, minutesPerUnit, minutesPerBatch, newAfter, newUses, details, prompts);
        }

        /** This step without threads that there aren't any more. */
        StepRow threadedWith(Set<MaterialId> there) {
            return with(key, minutesPerUnit, minutesPerBatch, after, uses, details.threadedWith(there), prompts);
        }

        /** What it needs on the machine. */
        SetUp setUp() {
            return details.with(SetUp.of(needle, thread, foot, stitch));
        }

        /** This step with something more that is shown within it. */
        public StepRow showing(PromptRow more) {
            List<PromptRow> all = new ArrayList<>(prompts);
            all.add(more);
            return with(key, minutesPerUnit, minutesPerBatch, after, uses, details, all);
        }

        /** This step with another time for each bag. */
        StepRow taking(Duration newEach) {
            return taking(typed(newEach), minutesPerBatch);
        }

        /** This step with other times. */
        public StepRow taking(Duration newEach, Duration newOnce) {
            return taking(typed(newEach), typed(newOnce));
        }

        /** Minutes as they are typed, exact to the second. */
        private static String typed(Duration time) {
            return BigDecimal.valueOf(time.toSeconds())
                    .divide(BigDecimal.valueOf(60), 2, RoundingMode.HALF_UP)
                    .stripTrailingZeros()
                    .toPlainString();
        }

        private StepRow taking(String newMinutesPerUnit, String newMinutesPerBatch) {
            return with(key, newMinutesPerUnit, newMinutesPerBatch, after, uses, details, prompts);
        }
    }

    /**
     * Something that is shown within a step.
     *
     * @param mark where it is, as typed: a length or a formula over the design's measurements; empty where that isn't said
     * @param from the edge that the mark is measured from
     * @param gate it must be confirmed before the bag is counted
     * @param seconds how long something is held or waits, as typed; empty for nothing
     * @param times how often, as typed; empty for once
     */
    public record PromptRow(
            Prompt.Kind kind, String text, String mark, String from, boolean gate, String seconds, String times) {}

    /**
     * What there is to a set-up beside needle, thread, foot and stitch; what is empty doesn't matter.
     *
     * @param heat of the press, as typed
     * @param seconds how long the press is held down
     * @param pressCloth {@code press cloth} or {@code no press cloth}
     * @param steam {@code steam} or {@code dry}
     * @param freeArm it is sewn round the free arm
     * @param machine the id of the one machine that it is done at; absent for any that can
     * @param threadId the thread of the shelf that the step's thread stands for; absent where that is only words
     * @param bobbinId likewise for the bobbin
     */
    public record SetUpDetails(
            String bobbin,
            String length,
            String width,
            String position,
            String tension,
            String heat,
            String seconds,
            String pressCloth,
            String steam,
            boolean freeArm,
            @Nullable Integer machine,
            @Nullable MaterialId threadId,
            @Nullable MaterialId bobbinId) {

        static final SetUpDetails NONE = new SetUpDetails("", "", "", "", "", "", "", "", "", false, null, null, null);

        /** The same without threads that there aren't any more. */
        SetUpDetails threadedWith(Set<MaterialId> there) {
            return new SetUpDetails(
                    bobbin,
                    length,
                    width,
                    position,
                    tension,
                    heat,
                    seconds,
                    pressCloth,
                    steam,
                    freeArm,
                    machine,
                    threadId == null || there.contains(threadId) ? threadId : null,
                    bobbinId == null || there.contains(bobbinId) ? bobbinId : null);
        }

        /** The threads of the shelf that it names. */
        Stream<MaterialId> threads() {
            return Stream.of(threadId, bobbinId).filter(Objects::nonNull);
        }

        SetUp with(SetUp setUp) {
            Map<SetUp.Part, String> on = new EnumMap<>(SetUp.Part.class);
            on.putAll(setUp.on());
            on.put(SetUp.Part.BOBBIN, bobbin);
            on.put(SetUp.Part.LENGTH, length);
            on.put(SetUp.Part.WIDTH, width);
            on.put(SetUp.Part.POSITION, position);
            on.put(SetUp.Part.TENSION, tension);
            on.put(SetUp.Part.HEAT, heat);
            on.put(SetUp.Part.SECONDS, seconds.strip());
            on.put(SetUp.Part.PRESS_CLOTH, pressCloth);
            on.put(SetUp.Part.STEAM, steam);
            Map<SetUp.Part, String> spools = new EnumMap<>(SetUp.Part.class);
            if (threadId != null) {
                spools.put(SetUp.Part.THREAD, threadId.key());
            }
            if (bobbinId != null) {
                spools.put(SetUp.Part.BOBBIN, bobbinId.key());
            }
            return new SetUp(on, machine == null ? "" : machine.toString(), freeArm, spools);
        }
    }

    /**
     * What a design asks for, and the material that usually fills it.
     *
     * @param cloths the kinds of cloth that serve, the usual one first
     * @param ware what a notion has to be; absent where that wasn't said
     */
    public record SlotRow(
            String key,
            String label,
            MaterialKind kind,
            List<ClothKind> cloths,
            @Nullable Ware ware,
            @Nullable MaterialId materialId) {

        /** The same, usually filled with that material. */
        public SlotRow filledWith(@Nullable MaterialId material) {
            return new SlotRow(key, label, kind, cloths, ware, material);
        }
    }
}
