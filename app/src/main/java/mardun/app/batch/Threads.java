package mardun.app.batch;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.MaterialId;
import mardun.app.material.ColouredMaterial;
import mardun.app.material.MaterialService;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.core.making.OrderWishes;
import mardun.core.making.ThreadRack;
import mardun.core.making.ThreadRack.Cloth;
import mardun.core.making.ThreadRack.Spool;
import mardun.core.material.Colour;
import mardun.core.material.MaterialKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The threads on the shelf, and the cloths that they shall match. */
@Service
class Threads {

    private final MaterialService materials;

    Threads(MaterialService materials) {
        this.materials = materials;
    }

    /**
     * What is on the shelf.
     *
     * @param colours of all materials, by their ids
     */
    record Shelf(ThreadRack rack, Map<MaterialId, String> colours) {

        /** What the threads are called, by their keys. */
        Map<String, String> names() {
            return rack.spools().stream().collect(Collectors.toMap(Spool::key, Spool::name));
        }

        /** The outer cloths of a batch, each with the lines that are made of it. */
        Map<Cloth, List<Integer>> cloths(Planned planned) {
            Map<Cloth, List<Integer>> lines = new LinkedHashMap<>();
            planned.lines().forEach(line -> {
                OuterCloth outer = OuterCloth.of(planned, line);
                outer.materialId()
                        .filter(colours::containsKey)
                        .map(id -> new Cloth(id.key(), outer.name(), Colour.of(colours.get(id))))
                        .ifPresent(cloth -> lines.merge(cloth, List.of(line.number()), Shelf::both));
            });
            return lines;
        }

        private static List<Integer> both(List<Integer> some, List<Integer> others) {
            return Stream.concat(some.stream(), others.stream()).toList();
        }

        /** The thread that matches each line, in words. */
        Map<Integer, String> matching(Planned planned, OrderWishes wishes) {
            Map<Integer, String> matching = new HashMap<>();
            cloths(planned).forEach((cloth, lines) -> {
                String thread = rack.words(cloth, wishes.threads());
                lines.forEach(line -> matching.put(line, thread));
            });
            return matching;
        }
    }

    @Transactional(readOnly = true)
    Shelf shelf() {
        List<ColouredMaterial> all = materials.coloured();
        return new Shelf(
                new ThreadRack(all.stream()
                        .filter(one -> one.kind() == MaterialKind.THREAD && !one.putAway())
                        .map(one -> new Spool(one.id().key(), one.name(), Colour.of(one.colour())))
                        .toList()),
                all.stream().collect(Collectors.toMap(ColouredMaterial::id, ColouredMaterial::colour)));
    }
}
