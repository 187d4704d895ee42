package mardun.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The invented maker's product range, from the documents that ship with the demo. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoDesigns {

    private static final String DOCUMENTS = "classpath:/demo/*.json";

    private final DesignService designs;
    private final JsonMapper json;
    private final Map<String, DesignId> ids = new HashMap<>();
    private final Map<String, Map<String, MaterialId>> usual = new HashMap<>();

    DemoDesigns(DesignService designs, JsonMapper json) {
        this.designs = designs;
        this.json = json;
    }

    /** A design with the materials that usually fill its slots, by their names. */
    record DemoDesign(Map<String, String> materials, DesignDocument document) {}

    /** Enters all designs; {@code materialIds} are the materials' ids by their names. */
    void enter(Map<String, MaterialId> materialIds) {
        for (DemoDesign design : read(json)) {
            ids.put(design.document().name(), designs.store(filled(design, materialIds)));
            usual.put(design.document().name(), usual(design, materialIds));
        }
    }

    /** Knows again the designs that were entered before a stop, by their names. */
    void recall(Map<String, DesignId> entered, Map<String, MaterialId> materialIds) {
        ids.putAll(entered);
        for (DemoDesign design : read(json)) {
            usual.put(design.document().name(), usual(design, materialIds));
        }
    }

    /** The designs by their names. */
    Map<String, DesignId> ids() {
        return Map.copyOf(ids);
    }

    private static Map<String, MaterialId> usual(DemoDesign design, Map<String, MaterialId> materialIds) {
        Map<String, MaterialId> its = new LinkedHashMap<>();
        design.materials().forEach((slot, material) -> its.put(slot, materialIds.get(material)));
        return its;
    }

    /** Which material usually fills which slot of a design. */
    Map<String, MaterialId> usual(String name) {
        return usual.get(name);
    }

    DesignId idOf(String name) {
        return ids.get(name);
    }

    static List<DemoDesign> read(JsonMapper json) {
        try {
            Resource[] documents = new PathMatchingResourcePatternResolver().getResources(DOCUMENTS);
            Arrays.sort(documents, Comparator.comparing(Resource::getFilename));
            DemoDesign[] read = new DemoDesign[documents.length];
            for (int i = 0; i < documents.length; i++) {
                try (InputStream in = documents[i].getInputStream()) {
                    read[i] = json.readValue(in, DemoDesign.class);
                }
            }
            return List.of(read);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static DesignDocument filled(DemoDesign design, Map<String, MaterialId> materialIds) {
        return design.document()
                .filled(design.document().slots().stream()
                        .map(slot -> new SlotRow(
                                slot.key(),
                                slot.label(),
                                slot.kind(),
                                slot.cloths(),
                                slot.ware(),
                                materialIds.get(design.materials().get(slot.key()))))
                        .toList());
    }
}
