package mardun.app.unsewn;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.problem.FieldReader;
import mardun.app.request.OnceOnly;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.app.unsewn.UnsewnHoldRepository.Held;
import mardun.app.unsewn.UnsewnViews.UnsewnForm;
import mardun.app.unsewn.UnsewnViews.UnsewnLine;
import mardun.app.unsewn.UnsewnViews.UnsewnView;
import mardun.core.batch.UnsewnPieces.Pile;
import mardun.core.measure.ShownRounding;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies there cut and not sewn, and what a maker does with it by hand. */
@Service
public class UnsewnService {

    private static final int MOST = 100_000;

    private final UnsewnPieceRepository pieces;
    private final UnsewnMovementRepository movements;
    private final UnsewnHoldRepository holds;
    private final UnsewnShelf shelf;
    private final MaterialService materials;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    UnsewnService(
            UnsewnPieceRepository pieces,
            UnsewnMovementRepository movements,
            UnsewnHoldRepository holds,
            UnsewnShelf shelf,
            MaterialService materials,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.pieces = pieces;
        this.movements = movements;
        this.holds = holds;
        this.shelf = shelf;
        this.materials = materials;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** A page of what is there, by design. */
    @Transactional(readOnly = true)
    public UnsewnView list(String query, int page, int size) {
        Page<PileThere> found =
                pieces.search(SearchWords.like(query), PageRequest.of(page, Math.min(size, PageView.LARGEST)));
        ViewWriter writer = settings.current().writer();
        List<Long> ids =
                found.getContent().stream().map(one -> one.piece().id()).toList();
        Map<Long, Long> held = ids.isEmpty()
                ? Map.of()
                : holds.held(ids).stream().collect(Collectors.toMap(Held::getPieceId, Held::getPieces, Long::sum));
        List<MaterialId> cloths = found.getContent().stream()
                .map(one -> one.piece().materialId())
                .distinct()
                .toList();
        Map<MaterialId, String> names = materials.names(cloths);
        Map<MaterialId, String> colours = materials.colours(cloths);
        return new UnsewnView(
                PageView.of(found, one -> line(one, held, names, colours, writer)), writer.money(movements.worth()));
    }

    private static UnsewnLine line(
            PileThere there,
            Map<Long, Long> held,
            Map<MaterialId, String> names,
            Map<MaterialId, String> colours,
            ViewWriter writer) {
        UnsewnPiece piece = there.piece();
        return new UnsewnLine(
                piece.id(),
                piece.batchId(),
                piece.designName(),
                piece.sizeName(),
                piece.letter(),
                piece.pieceName(),
                piece.materialId(),
                names.getOrDefault(piece.materialId(), ""),
                colours.getOrDefault(piece.materialId(), ""),
                writer.length(piece.extent().width(), ShownRounding.UP),
                writer.length(piece.extent().height(), ShownRounding.UP),
                there.pieces(),
                held.getOrDefault(piece.id(), 0L),
                piece.perBag(),
                writer.money(there.minor()));
    }

    /** Pieces leave the shelf: thrown away, given away. Those that a batch will take stay; to be sold they become kits first. */
    public void move(UnsewnForm form) {
        onceOnly.make(form.requestId(), "cut pieces", form, () -> {
            FieldReader fields = new FieldReader();
            if (!form.kind().isByHand()) {
                fields.refuse(
                        "kind",
                        form.kind().name(),
                        form.kind() == UnsewnKind.SOLD_AS_KIT
                                ? "To sell them, bundle them to kits at their batch: then they are goods with a price."
                                : "Batches put pieces by and take them; not by hand.");
            }
            int count = fields.count("count", form.count(), 1, MOST);
            fields.check();
            List<Long> ids = form.ids().stream().distinct().sorted().toList();
            ids.forEach(id -> takeOut(id, count, form, fields));
            fields.check();
            return ids.get(0);
        });
    }

    private void takeOut(long id, int count, UnsewnForm form, FieldReader fields) {
        PileThere there = shelf.forMoving(id);
        UnsewnPiece piece = there.piece();
        long held = holds.held(List.of(id)).stream().mapToLong(Held::getPieces).sum();
        long free = there.pieces() - held;
        long leaving = form.forBags() ? Math.multiplyExact(count, piece.perBag()) : count;
        if (leaving > free) {
            fields.refuse(
                    "count",
                    form.count(),
                    "Of “" + piece.pieceName() + "” " + there.pieces() + " are there"
                            + (held > 0 ? ", and a planned batch will take " + held + " of them" : "") + ". "
                            + (form.forBags()
                                    ? "That is enough for " + free / piece.perBag() + "."
                                    : "Type at most " + free + "."));
            return;
        }
        long minor = new Pile(Long.toString(id), piece.kind(), there.pieces(), there.minor()).worth(leaving);
        movements.save(new UnsewnMovement(
                id, form.kind(), -leaving, -minor, null, form.reason().strip(), clock.instant()));
    }
}
