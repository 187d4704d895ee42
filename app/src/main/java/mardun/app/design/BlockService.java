package mardun.app.design;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import mardun.app.design.BlockViews.BlockView;
import mardun.app.design.BlockViews.DesignWithBlock;
import mardun.app.design.BlockViews.NewBlock;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.SettingsService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Building blocks: those that ship with the application, and those that the maker keeps. */
@Service
public class BlockService {

    private static final String SHIPPED = "/designs/blocks.json";
    private static final String OWN = "own-";

    private final BlockRepository blocks;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final JsonMapper json;
    private final Clock clock;
    private final List<ShippedBlock> shipped;

    BlockService(BlockRepository blocks, SettingsService settings, OnceOnly onceOnly, JsonMapper json, Clock clock) {
        this.blocks = blocks;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.json = json;
        this.clock = clock;
        this.shipped = read(json);
    }

    /** A block as it ships. */
    private record ShippedBlock(String key, String name, String variant, BlockDocument block) {}

    private static List<ShippedBlock> read(JsonMapper json) {
        try (InputStream in = BlockService.class.getResourceAsStream(SHIPPED)) {
            return List.of(json.readValue(in, ShippedBlock[].class));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Transactional(readOnly = true)
    public List<BlockView> list() {
        Stream<BlockView> own = blocks.findAllByOrderByNameAscVariantAsc().stream()
                .map(entity -> new BlockView(
                        OWN + entity.id(), entity.name(), entity.variant(), true, brings(document(entity))));
        Stream<BlockView> others =
                shipped.stream().map(b -> new BlockView(b.key(), b.name(), b.variant(), false, brings(b.block())));
        return Stream.concat(own, others).toList();
    }

    /** A design with a block put into it; nothing is stored. */
    @Transactional(readOnly = true)
    public DesignDocument putInto(DesignWithBlock form) {
        return DocumentDecimals.in(
                BlockMerge.into(form.document(), block(form.block())),
                settings.current().decimalMark());
    }

    /** Keeps steps of a design, with all that they use, as a block. */
    public List<BlockView> keep(NewBlock form) {
        onceOnly.make(form.requestId(), "building block", form, () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), 120);
            String variant = form.variant().strip();
            if (form.steps().isEmpty()) {
                fields.refuse("steps", "", "Choose the steps that belong to the block.");
            }
            if (blocks.existsByNameIgnoreCaseAndVariantIgnoreCase(name, variant)) {
                fields.refuse("name", name, "There is a block of that name and variant already. Type another variant.");
            }
            DocumentLimits.check(form.document(), fields);
            fields.check();
            Set<String> keys = new LinkedHashSet<>(form.steps());
            String document = json.writeValueAsString(BlockMerge.from(form.document(), keys));
            return blocks.saveAndFlush(new BlockEntity(name, variant, document, clock.instant()))
                    .id();
        });
        return list();
    }

    private BlockDocument block(String key) {
        if (key.startsWith(OWN) && key.substring(OWN.length()).matches("\\d{1,18}")) {
            return blocks.findById(Long.valueOf(key.substring(OWN.length())))
                    .map(this::document)
                    .orElseThrow(BlockService::missing);
        }
        return shipped.stream()
                .filter(b -> b.key().equals(key))
                .findFirst()
                .map(ShippedBlock::block)
                .orElseThrow(BlockService::missing);
    }

    private static RefusedException missing() {
        return RefusedException.missing("There is no such building block, or no longer.");
    }

    private BlockDocument document(BlockEntity entity) {
        return json.readValue(entity.document(), BlockDocument.class);
    }

    private static List<String> brings(BlockDocument block) {
        List<String> brings = new ArrayList<>();
        block.pieces().forEach(p -> brings.add(p.name()));
        block.trims().forEach(t -> brings.add(t.name()));
        block.notions().forEach(n -> brings.add(n.name()));
        block.steps().forEach(s -> brings.add(s.name()));
        return brings;
    }
}
