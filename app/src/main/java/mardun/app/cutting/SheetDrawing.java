package mardun.app.cutting;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import mardun.app.cutting.CuttingViews.ClothView;
import mardun.app.cutting.CuttingViews.LaidPiece;
import mardun.app.cutting.CuttingViews.MatView;
import mardun.app.cutting.CuttingViews.PieceKind;
import mardun.app.cutting.CuttingViews.RestView;
import mardun.app.paper.Paper;
import mardun.app.paper.PaperFonts;
import mardun.core.design.Role;

/** Draws cutting sheets to scale, one unit of the drawing a millimetre, so that they print and open anywhere. */
final class SheetDrawing {

    private static final long NANOMETRES = 1_000_000;
    private static final int GAP = 60;
    private static final int LINE = 40;
    private static final int PAPER_WIDE = 170;
    private static final int PAPER_HIGH = 215;
    private static final int MOST_PARTS = 12;
    private static final double LETTER_WIDE = 0.65;
    private static final String INK = "#14252e";
    private static final Map<Role, String> GROUNDS = Map.of(
            Role.OUTER, "#cfe0ee",
            Role.LINING, "#f2e3c4",
            Role.INTERFACING, "#e4e7e4");

    private SheetDrawing() {}

    /** All mats of a cloth below one another. */
    static String svg(ClothView cloth) {
        long widest =
                cloth.mats().stream().mapToLong(mat -> mm(mat.width())).max().orElse(1);
        long high =
                cloth.mats().stream().mapToLong(mat -> mm(mat.length()) + GAP).sum()
                        + (long) LINE * (lines(cloth).size() + 1);
        StringBuilder svg = new StringBuilder();
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"")
                .append(widest)
                .append("mm\" height=\"")
                .append(high)
                .append("mm\" viewBox=\"0 0 ")
                .append(widest)
                .append(' ')
                .append(high)
                .append("\" font-family=\"Atkinson Hyperlegible Next, Helvetica, sans-serif\">\n");
        long y = GAP;
        for (MatView mat : cloth.mats()) {
            svg.append("<text x=\"0\" y=\"")
                    .append(y - GAP / 3)
                    .append("\" font-size=\"28\" fill=\"" + INK + "\">")
                    .append(Paper.escaped(cloth.name() + " - " + mat.title()))
                    .append("</text>\n");
            svg.append("<g transform=\"translate(0 ").append(y).append(")\">\n");
            mat(svg, mat, cloth.pieces(), cloth.directional(), 0, mm(mat.length()));
            svg.append("</g>\n");
            y += mm(mat.length()) + GAP;
        }
        for (String line : lines(cloth)) {
            svg.append("<text x=\"0\" y=\"")
                    .append(y)
                    .append("\" font-size=\"24\" fill=\"" + INK + "\">")
                    .append(Paper.escaped(line))
                    .append("</text>\n");
            y += LINE;
        }
        return svg.append("</svg>\n").toString();
    }

    /** What is said below a drawing: each piece with its size, and what is cut away from it and marked on it. */
    private static List<String> lines(ClothView cloth) {
        return cloth.pieces().stream()
                .flatMap(kind -> Stream.concat(
                        Stream.of(kind.letter() + " " + kind.name() + ": "
                                + kind.width().inch() + " × " + kind.height().inch() + ", "
                                + kind.width().metric() + " × " + kind.height().metric()),
                        kind.notes().stream().map(note -> "    " + note)))
                .toList();
    }

    /** One mat by itself, as wide as the paper gives: a long cloth part by part, so that its letters can be read. */
    static String pages(MatView mat, ClothView cloth) {
        long part = Math.max(1, mm(mat.width()) * PAPER_HIGH / PAPER_WIDE);
        long all = (mm(mat.length()) + part - 1) / part;
        StringBuilder pages = new StringBuilder();
        for (long i = 0; i < Math.min(all, MOST_PARTS); i++) {
            page(pages, mat, cloth, i * part, Math.min(part, mm(mat.length()) - i * part));
        }
        if (all > MOST_PARTS) {
            pages.append("<p>The drawing ends here; the cuts in order go on to the end of the cloth.</p>");
        }
        return pages.toString();
    }

    private static void page(StringBuilder pages, MatView mat, ClothView cloth, long from, long high) {
        pages.append("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"-4 ")
                .append(from - 4)
                .append(' ')
                .append(mm(mat.width()) + 8)
                .append(' ')
                .append(high + 8)
                .append("\" font-family=\"" + PaperFonts.IN_DRAWINGS + "\" width=\"" + PAPER_WIDE + "mm\" height=\"")
                .append(Math.max(1, (high + 8) * PAPER_WIDE / (mm(mat.width()) + 8)))
                .append("mm\">\n");
        mat(pages, mat, cloth.pieces(), cloth.directional(), from, from + high);
        pages.append("</svg>\n");
    }

    /** What lies on a mat from so many millimetres to so many. */
    private static void mat(
            StringBuilder svg, MatView mat, List<PieceKind> kinds, boolean directional, long from, long to) {
        Map<String, PieceKind> byLetter = new HashMap<>();
        kinds.forEach(kind -> byLetter.put(kind.letter(), kind));
        rectangle(svg, 0, 0, mat.width(), mat.length(), "#faf8f2", 2);
        for (RestView rest : mat.rests()) {
            if (mm(rest.y() + rest.height()) < from || mm(rest.y()) > to) {
                continue;
            }
            rectangle(svg, rest.x(), rest.y(), rest.width(), rest.height(), "#eef5ea", 1);
        }
        for (LaidPiece piece : mat.pieces()) {
            if (mm(piece.y() + piece.height()) < from || mm(piece.y()) > to) {
                continue;
            }
            PieceKind kind = byLetter.get(piece.letter());
            String ground = GROUNDS.getOrDefault(kind == null ? Role.OUTER : kind.role(), "#ffffff");
            rectangle(svg, piece.x(), piece.y(), piece.width(), piece.height(), ground, 1.2);
            outlines(svg, piece);
            label(svg, piece, directional, from, to);
        }
    }

    /** Two that lie head to tail, where they are cut along the template. */
    private static void outlines(StringBuilder svg, LaidPiece piece) {
        if (piece.other() == null) {
            return;
        }
        svg.append("<g transform=\"translate(")
                .append(mmExact(piece.x()))
                .append(' ')
                .append(mmExact(piece.y()))
                .append(")\" fill=\"none\" stroke=\"" + INK + "\" stroke-width=\"1\">");
        piece.other()
                .outlines()
                .forEach(path -> svg.append("<path d=\"").append(path).append("\"/>"));
        svg.append("</g>\n");
    }

    /** A piece's letter in the middle of what is seen of it. */
    private static void label(StringBuilder svg, LaidPiece piece, boolean directional, long from, long to) {
        long top = Math.max(piece.y(), from * NANOMETRES);
        long bottom = Math.min(piece.y() + piece.height(), to * NANOMETRES);
        BigDecimal x = mmExact(piece.x() + piece.width() / 2);
        BigDecimal y = mmExact(top + (bottom - top) / 2);
        String words = piece.letter()
                + piece.number()
                + (piece.other() == null
                        ? ""
                        : " " + piece.letter() + piece.other().number())
                + (directional ? " ^" : "");
        long size = Math.max(
                6,
                Math.min(
                        40,
                        Math.round(
                                Math.min(0.7 * mm(bottom - top), mm(piece.width()) / (LETTER_WIDE * words.length())))));
        svg.append("<text x=\"")
                .append(x)
                .append("\" y=\"")
                .append(y.add(BigDecimal.valueOf(size / 3)))
                .append("\" text-anchor=\"middle\" font-size=\"")
                .append(size)
                .append("\" fill=\"" + INK + "\">")
                .append(Paper.escaped(words))
                .append("</text>\n");
    }

    private static void rectangle(
            StringBuilder svg, long x, long y, long width, long height, String fill, double stroke) {
        svg.append("<rect x=\"")
                .append(mmExact(x))
                .append("\" y=\"")
                .append(mmExact(y))
                .append("\" width=\"")
                .append(mmExact(width))
                .append("\" height=\"")
                .append(mmExact(height))
                .append("\" fill=\"")
                .append(fill)
                .append("\" stroke=\"" + INK + "\" stroke-width=\"")
                .append(stroke)
                .append("\"/>\n");
    }

    private static long mm(long nanometres) {
        return (nanometres + NANOMETRES - 1) / NANOMETRES;
    }

    private static BigDecimal mmExact(long nanometres) {
        return BigDecimal.valueOf(nanometres, 6).stripTrailingZeros();
    }
}
