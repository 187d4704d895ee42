package mardun.app.ticket;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.CuttableBatches;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsThere;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.MaterialService.ForTickets;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.ChosenLine;
import mardun.app.ticket.TicketViews.Shown;
import mardun.core.design.Source;
import mardun.core.label.LabelFace.Part;
import mardun.core.label.LabelFace.Rank;
import mardun.core.label.TicketWords;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What stands on the tickets of bags: what they are called, what they are made of, and what has to be said of them. */
@Component
class TicketTexts {

    private final DesignService designs;
    private final MaterialService materials;
    private final CuttableBatches batches;

    TicketTexts(DesignService designs, MaterialService materials, CuttableBatches batches) {
        this.designs = designs;
        this.materials = materials;
        this.batches = batches;
    }

    /**
     * What a ticket is for.
     *
     * @param design empty for bags that were entered from a list
     * @param sizeName empty where the design has one size
     * @param batchId empty where no batch gave them
     * @param price as buyers read it; empty for none
     */
    record About(
            String name,
            String sizeName,
            String clothName,
            Quality quality,
            Optional<DesignId> design,
            String sizeKey,
            Optional<BatchId> batchId,
            Optional<Integer> lineNumber,
            String price) {

        static About of(GoodsThere bags, String price) {
            return new About(
                    bags.designName(),
                    bags.sizeName(),
                    bags.clothName(),
                    bags.quality(),
                    bags.designId(),
                    bags.sizeKey().orElse(""),
                    bags.batchId(),
                    bags.lineNumber(),
                    price);
        }

        /** What its code says: design, size and batch, in digits and plain letters. */
        private String code() {
            return design.map(DesignId::key).orElse("0") + "-" + (sizeKey.isEmpty() ? "0" : sizeKey) + "-"
                    + batchId.map(BatchId::key).orElse("0");
        }

        private String words() {
            return sizeName.isEmpty() ? name : name + ", " + sizeName;
        }
    }

    /** Reads what some tickets need; each design, batch and material once. */
    final class Reader {

        private final Map<DesignId, DesignDocument> documents = new HashMap<>();
        private final Map<BatchId, ChosenBatch> chosen = new HashMap<>();
        private final Map<MaterialId, ForTickets> known = new HashMap<>();

        /** What stands on one. */
        TicketText text(About about, Set<Shown> shown, String more) {
            Optional<DesignDocument> document =
                    about.design().map(id -> documents.computeIfAbsent(id, designs::document));
            TicketWords words = document.map(its -> words(its, about))
                    .orElseGet(() -> TicketWords.of(List.of(), Source.OWN, Set.of(), List.of(), false));
            List<Part> parts = new ArrayList<>();
            parts.add(new Part(Rank.NAME, about.name()));
            String detail = Stream.of(
                            shown.contains(Shown.SIZE) && !isOnly(document) ? about.sizeName() : "",
                            shown.contains(Shown.CLOTH) ? about.clothName() : "",
                            about.quality().words())
                    .filter(text -> !text.isBlank())
                    .collect(Collectors.joining(", "));
            add(parts, Rank.DETAIL, detail);
            add(parts, Rank.PRICE, about.price());
            if (shown.contains(Shown.FIBRE)) {
                add(parts, Rank.SMALL, words.fibre());
            }
            if (shown.contains(Shown.CARE)) {
                add(parts, Rank.SMALL, words.care());
            }
            add(parts, Rank.SMALL, words.credit());
            words.warnings().forEach(warning -> add(parts, Rank.SMALL, warning));
            add(parts, Rank.SMALL, more.strip());
            if (shown.contains(Shown.BATCH)) {
                add(parts, Rank.SMALL, about.batchId().map(id -> "batch " + id).orElse(""));
            }
            return new TicketText(about.words(), List.copyOf(parts), about.code());
        }

        /** Whether a design has but one size, which needn't be named. */
        private static boolean isOnly(Optional<DesignDocument> document) {
            return document.filter(its -> its.sizes().size() == 1).isPresent();
        }

        private TicketWords words(DesignDocument whole, About about) {
            Optional<ChosenLine> line = about.batchId().flatMap(id -> line(id, about.lineNumber()));
            DesignDocument document = whole.chosen(line.map(ChosenLine::picks).orElse(Map.of()));
            Map<String, MaterialId> bySlot = line.map(ChosenLine::materials).orElseGet(() -> usual(document));
            bySlot.values().stream()
                    .filter(id -> !known.containsKey(id))
                    .collect(Collectors.collectingAndThen(Collectors.toSet(), materials::forTickets))
                    .forEach(known::put);
            List<ForTickets> there = bySlot.values().stream()
                    .map(known::get)
                    .filter(Objects::nonNull)
                    .toList();
            return TicketWords.of(
                    document.slots().stream()
                            .flatMap(slot -> Optional.ofNullable(bySlot.get(slot.key())).map(known::get).stream()
                                    .map(one -> new TicketWords.Of(
                                            slot.label(), one.kind() == MaterialKind.CLOTH, one.fibre(), one.care())))
                            .toList(),
                    document.source(),
                    there.stream().flatMap(one -> one.ware().stream()).collect(Collectors.toSet()),
                    there.stream()
                            .filter(one -> one.kind() == MaterialKind.FILLING_BY_WEIGHT
                                    || one.kind() == MaterialKind.FILLING_BY_VOLUME)
                            .map(ForTickets::name)
                            .toList(),
                    document.forChildren());
        }

        /** What usually fills the design's slots. */
        private static Map<String, MaterialId> usual(DesignDocument document) {
            Map<String, MaterialId> usual = new LinkedHashMap<>();
            document.slots().stream()
                    .filter(slot -> slot.materialId() != null)
                    .forEach(slot -> usual.put(slot.key(), slot.materialId()));
            return usual;
        }

        private Optional<ChosenLine> line(BatchId id, Optional<Integer> number) {
            return chosen.computeIfAbsent(id, its -> batches.get(its).chosen()).lines().stream()
                    .filter(line -> line.number() == number.orElse(1))
                    .findFirst();
        }
    }

    Reader reader() {
        return new Reader();
    }

    private static void add(List<Part> parts, Rank rank, @Nullable String text) {
        if (text != null && !text.isBlank()) {
            parts.add(new Part(rank, text));
        }
    }
}
