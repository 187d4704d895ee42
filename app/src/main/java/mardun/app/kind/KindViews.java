package mardun.app.kind;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.PictureView;
import mardun.app.id.MaterialId;
import mardun.core.design.BagPart;
import mardun.core.kind.Choice;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;
import org.jspecify.annotations.Nullable;

/** What the interface gets to see of the kinds of bag that a design can begin as. */
public final class KindViews {

    private KindViews() {}

    /**
     * A kind, with its bag as it usually is.
     *
     * @param measures those that it is made from, as they usually are
     */
    public record KindView(
            Kind kind,
            String words,
            String sentence,
            List<String> measures,
            @Nullable PictureView picture) {}

    /**
     * What is known of a bag and how it is made.
     *
     * @param name what the maker calls it; may be empty while it is drafted
     * @param measures what was typed, by the symbols of the measurements
     * @param materials what fills its slots, by their keys
     * @param paper what a paper says of the other pieces
     */
    public record BriefForm(
            @NotNull Kind kind,
            @NotNull @Size(max = 200) String name,
            @NotNull Known known,
            @NotNull Map<@NotNull Choice, @NotNull Option> chosen,
            @NotNull @Size(max = 200) Map<@NotNull String, @NotNull @Size(max = 1000) String> measures,
            @NotNull @Size(max = 200) Map<@NotNull String, @NotNull MaterialId> materials,
            @NotNull @Size(max = 200) List<@NotNull @Valid PaperRow> paper) {}

    /** What a paper says of a piece or a trim, as typed; empty for nothing. */
    public record PaperRow(
            @NotNull @Size(max = 10) String letter,
            @NotNull @Size(max = 100) String width,
            @NotNull @Size(max = 100) String height) {}

    /** A brief of which a design is made. */
    public record NewFromBrief(
            @NotNull UUID requestId, @NotNull @Valid BriefForm brief) {}

    /**
     * The design that a brief makes, not stored.
     *
     * @param kind what kind of bag it is, in words
     * @param measures those that may be typed, the ones asked first in front
     * @param disagreements what the paper says otherwise than its measures ask for
     */
    public record DraftView(
            String kind,
            DesignDocument document,
            DesignSheet sheet,
            List<ChoiceView> choices,
            List<MeasureView> measures,
            List<SlotView> slots,
            List<String> disagreements) {}

    /**
     * What a design asks for.
     *
     * @param serving the materials on the shelf that may fill it
     * @param per what shops usually sell it by
     * @param width how wide a cloth usually is; empty for anything else
     */
    public record SlotView(
            String slot,
            String label,
            MaterialKind kind,
            @Nullable ClothKind cloth,
            @Nullable Ware ware,
            @Nullable MaterialId materialId,
            List<MaterialId> serving,
            String per,
            String width) {}

    /**
     * A choice of a kind and what it came to.
     *
     * @param part the part of the bag that it decides about
     * @param partWords what that is called
     */
    public record ChoiceView(
            Choice choice, String words, BagPart part, String partWords, Option chosen, List<OptionView> options) {}

    /** @param notWith which other chosen option it can't be together with; absent where it is offered */
    public record OptionView(
            Option option,
            String words,
            String sentence,
            @Nullable String notWith) {}

    /**
     * A measurement as it is typed or as it usually is.
     *
     * @param asked it is one of those that make the bag
     * @param part the choice that it belongs to; absent for the bag as a whole
     */
    public record MeasureView(
            String symbol,
            String label,
            String value,
            boolean asked,
            boolean isLength,
            @Nullable Choice part) {}

    /** A design that is being edited, and what its choices shall be. */
    public record Rechosen(
            @NotNull @Valid DesignDocument document,
            @NotNull Map<@NotNull Choice, @NotNull Option> chosen) {}

    /**
     * A design whose choices were changed.
     *
     * @param measures which measurements belong to which choice, as they usually are
     * @param kept what was changed by hand and so doesn't follow them, in sentences
     */
    public record RechosenView(
            DesignDocument document, List<ChoiceView> choices, List<MeasureView> measures, List<String> kept) {}
}
