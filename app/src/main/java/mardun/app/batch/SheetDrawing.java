package mardun.app.batch;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mardun.app.batch.CuttingViews.ClothView;
import mardun.app.batch.CuttingViews.LaidPiece;
import mardun.app.batch.CuttingViews.MatView;
import mardun.app.batch.CuttingViews.PieceKind;
import mardun.app.batch.CuttingViews.RestView;
import mardun.core.design.Role;

/** Draws cutting sheets to scale, one unit of the drawing a millimetre, so that they print and open anywhere. */
final class SheetDrawing {

    private static final long NANOMETRES = 1_000_000;
    private static final int GAP = 60;
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
                cloth.mats().stream().mapToLong(mat -> mm(mat.length()) + GAP).sum();
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
                    .append(escaped(cloth.name() + " - " + mat.title()))
                    .append("</text>\n");
            svg.append("<g transform=\"translate(0 ").append(y).append(")\">\n");
            mat(svg, mat, cloth.pieces(), cloth.directional());
            svg.append("</g>\n");
            y += mm(mat.length()) + GAP;
        }
        return svg.append("</svg>\n").toString();
    }

    /** One mat by itself, as wide as the paper gives. */
    static String svg(MatView mat, ClothView cloth) {
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"-4 -4 "
                + (mm(mat.width()) + 8) + " " + (mm(mat.length()) + 8) + "\" font-family=\"Helvetica, sans-serif\"");
        boolean isTall = mat.length() > mat.width();
        svg.append(isTall ? " height=\"150mm\"" : " width=\"170mm\"").append(">\n");
        mat(svg, mat, cloth.pieces(), cloth.directional());
        return svg.append("</svg>\n").toString();
    }

    private static void mat(StringBuilder svg, MatView mat, List<PieceKind> kinds, boolean directional) {
        Map<String, PieceKind> byLetter = new HashMap<>();
        kinds.forEach(kind -> byLetter.put(kind.letter(), kind));
        rectangle(svg, 0, 0, mat.width(), mat.length(), "#faf8f2", 2);
        for (RestView rest : mat.rests()) {
            rectangle(svg, rest.x(), rest.y(), rest.width(), rest.height(), "#eef5ea", 1);
        }
        for (LaidPiece piece : mat.pieces()) {
            PieceKind kind = byLetter.get(piece.letter());
            String ground = GROUNDS.getOrDefault(kind == null ? Role.OUTER : kind.role(), "#ffffff");
            rectangle(svg, piece.x(), piece.y(), piece.width(), piece.height(), ground, 1.2);
            label(svg, piece, directional);
        }
    }

    private static void label(StringBuilder svg, LaidPiece piece, boolean directional) {
        BigDecimal x = mmExact(piece.x() + piece.width() / 2);
        BigDecimal y = mmExact(piece.y() + piece.height() / 2);
        long size = Math.max(6, Math.min(40, Math.min(mm(piece.width()), mm(piece.height())) / 3));
        svg.append("<text x=\"")
                .append(x)
                .append("\" y=\"")
                .append(y.add(BigDecimal.valueOf(size / 3)))
                .append("\" text-anchor=\"middle\" font-size=\"")
                .append(size)
                .append("\" fill=\"" + INK + "\">")
                .append(escaped(piece.letter() + piece.number() + (directional ? " ^" : "")))
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

    static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
