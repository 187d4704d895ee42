package mardun.app.template;

import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.show.Views.LengthView;
import mardun.core.design.OpenChoice;
import org.jspecify.annotations.Nullable;

/** Templates of a design, as they lie on paper; all measures are millimetres. */
public final class TemplateViews {

    private static final int MOST = 60;
    private static final int LONGEST = 40;

    private TemplateViews() {}

    /** What templates are printed on. */
    public enum PaperKind {
        A4,
        LETTER,
        ROLL
    }

    /** How sizes of one piece are drawn. */
    public enum SizesDrawn {
        APART,
        NESTED,
        /** One template for all of them, where it only has to be moved along a line. */
        SHIFTED
    }

    /**
     * What is asked for.
     *
     * @param sizes their places among the design's, from 0; none for the first one
     * @param pieces letters; none for all that aren't plain, or for all where each of them is
     * @param paper absent for A4
     * @param rollWidth as it is typed; only for a roll
     * @param drawn absent for apart
     * @param placing cards to place marks by, in the place of whole pieces; absent for no
     * @param join letters of two pieces that are joined at their marks, in the place of all others; absent for none
     * @param picks keys of alternatives that are taken where the design leaves something open; absent for the usual
     */
    public record Asked(
            @Size(max = MOST) @Nullable List<Integer> sizes,
            @Size(max = MOST) @Nullable List<String> pieces,
            @Nullable PaperKind paper,
            @Size(max = LONGEST) @Nullable String rollWidth,
            @Nullable SizesDrawn drawn,
            @Nullable Boolean placing,
            @Size(max = 2) @Nullable List<String> join,
            @Size(max = MOST) @Nullable List<@Size(max = LONGEST) String> picks) {

        public Asked {
            sizes = sizes == null ? List.of() : sizes;
            pieces = pieces == null ? List.of() : pieces;
            paper = paper == null ? PaperKind.A4 : paper;
            rollWidth = rollWidth == null ? "" : rollWidth;
            drawn = drawn == null ? SizesDrawn.APART : drawn;
            placing = placing != null && placing;
            join = join == null ? List.of() : join;
            picks = picks == null ? List.of() : picks;
        }
    }

    /**
     * The templates that are chosen, on their pages.
     *
     * @param sizes all sizes of the design
     * @param chosenSizes those that are drawn
     * @param chosenPieces the letters of those that are drawn
     * @param notShifted the letters of those that have a template for each size, though one for all of them was asked for
     * @param joins which two pieces have marks by the same names, at which they can be joined
     * @param choices what the design leaves open
     */
    public record TemplatesView(
            DesignId designId,
            String name,
            List<String> sizes,
            List<TemplatePieceView> pieces,
            List<String> chosenSizes,
            List<String> chosenPieces,
            List<String> notShifted,
            PaperKind paper,
            List<TemplateView> templates,
            TemplatePages pages,
            List<JoinView> joins,
            List<OpenChoice> choices) {}

    /** Two pieces by their letters, with the marks at which they can be joined. */
    public record JoinView(String one, String other, List<String> marks) {}

    /**
     * A piece that a template can be drawn of.
     *
     * @param plain it is a rectangle, which a ruler draws as well
     */
    public record TemplatePieceView(String letter, String name, String cloth, boolean plain) {}

    /**
     * A template where it lies.
     *
     * @param cut where it is cut, as an SVG path
     * @param marked all else that is drawn, as an SVG path
     */
    public record TemplateView(
            String name,
            List<String> words,
            double left,
            double top,
            double width,
            double height,
            String cut,
            String marked) {}

    /**
     * The pages that are glued together.
     *
     * @param width of the whole plane
     * @param height likewise
     * @param paperWidth of one page
     * @param paperHeight of one page; of a roll, how much of it is needed
     * @param needed the same as it is read; absent for pages
     */
    public record TemplatePages(
            double width,
            double height,
            double paperWidth,
            double paperHeight,
            @Nullable LengthView needed,
            int rows,
            int columns,
            List<TemplatePage> pages) {}

    /** A page, with what it shows of the plane. */
    public record TemplatePage(String name, double left, double top, double right, double bottom) {}
}
