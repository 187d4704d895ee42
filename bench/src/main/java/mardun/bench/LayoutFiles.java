package mardun.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutCheck;
import mardun.core.measure.Length;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Keeps layouts as files, so that another checker can look at them: the layout as it was found, and copies of it that are
 * broken, each with what this project's own checker says of it.
 */
final class LayoutFiles {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private LayoutFiles() {}

    static void write(Path folder, Path instanceFile, Instance instance, CuttingLayout layout, double seconds)
            throws IOException {
        Files.createDirectories(folder);
        String name = instanceFile.getFileName().toString().replace(".json", "");
        int number = 0;
        for (CuttingLayout one : variants(layout)) {
            ObjectNode file = JSON.createObjectNode();
            file.put("instance", instanceFile.getFileName().toString());
            file.put("seconds", seconds);
            file.put("flawless", LayoutCheck.flaws(one, instance.job()).isEmpty());
            ArrayNode placements = file.putArray("placements");
            for (ClothLayout cloth : one.cloths()) {
                String sheet = cloth.isBolt() ? instance.stock() ? "bolt" : "strip" : cloth.lot();
                cloth.pieces().forEach(piece -> add(placements.addObject(), sheet, piece, instance.unit()));
            }
            Files.writeString(folder.resolve(name + "." + number++ + ".json"), JSON.writeValueAsString(file));
        }
    }

    private static void add(ObjectNode placement, String sheet, Placed piece, long unit) {
        placement.put("sheet", sheet);
        placement.put("piece", piece.key().letter());
        placement.put("x", piece.x().nanometres() / unit);
        placement.put("y", piece.y().nanometres() / unit);
        placement.put("w", piece.width().nanometres() / unit);
        placement.put("h", piece.height().nanometres() / unit);
        placement.put("rotated", piece.turned());
    }

    /** The layout itself; one piece fewer; one twice; one moved onto another; one turned; one beyond the edge. */
    private static List<CuttingLayout> variants(CuttingLayout layout) {
        List<CuttingLayout> variants = new ArrayList<>();
        variants.add(layout);
        ClothLayout last = layout.cloths().get(layout.cloths().size() - 1);
        List<Placed> pieces = last.pieces();
        Placed first = pieces.get(0);
        Placed other = pieces.get(pieces.size() - 1);
        variants.add(with(layout, last, pieces.subList(1, pieces.size())));
        variants.add(with(layout, last, changed(pieces, first, first, first)));
        variants.add(with(layout, last, changed(pieces, first, at(first, other.x(), other.y()))));
        variants.add(with(
                layout,
                last,
                changed(
                        pieces,
                        first,
                        new Placed(
                                first.key(), first.x(), first.y(), first.height(), first.width(), !first.turned()))));
        variants.add(with(layout, last, changed(pieces, first, at(first, last.width(), first.y()))));
        return variants;
    }

    private static Placed at(Placed piece, Length x, Length y) {
        return new Placed(piece.key(), x, y, piece.width(), piece.height(), piece.turned());
    }

    private static List<Placed> changed(List<Placed> pieces, Placed out, Placed... in) {
        List<Placed> changed = new ArrayList<>(pieces);
        changed.remove(out);
        changed.addAll(List.of(in));
        return changed;
    }

    private static CuttingLayout with(CuttingLayout layout, ClothLayout cloth, List<Placed> pieces) {
        List<ClothLayout> cloths = new ArrayList<>(layout.cloths());
        Length length =
                cloth.isBolt() ? pieces.stream().map(Placed::top).reduce(Length.ZERO, Length::max) : cloth.length();
        cloths.set(cloths.size() - 1, new ClothLayout(cloth.lot(), cloth.ofRoll(), cloth.width(), length, pieces));
        return new CuttingLayout(cloths);
    }
}
