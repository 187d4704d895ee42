package mardun.app.material;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.settings.SettingsService;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies on the shelf, for whoever plans with it: read once for many batches. */
@Service
public class StockShelves {

    private final ShelfReader reader;
    private final MaterialList list;
    private final SettingsService settings;

    StockShelves(ShelfReader reader, MaterialList list, SettingsService settings) {
        this.reader = reader;
        this.list = list;
        this.settings = settings;
    }

    /** The shelves of these materials as they are now. */
    @Transactional(readOnly = true)
    public Shelves read(Collection<MaterialId> materialIds) {
        return new Shelves(reader.read(materialIds));
    }

    /** The same, with what was given valued the other way than the maker usually does. */
    @Transactional(readOnly = true)
    public Shelves readWithGivenOtherwise(Collection<MaterialId> materialIds) {
        return new Shelves(reader.read(materialIds, settings.current().valuing().withGivenOtherwise()));
    }

    /** Thread that is on the shelf, with what a machine takes of it in an hour, where the maker said so. */
    @Transactional(readOnly = true)
    public List<Spool> spools() {
        return list.ofKind(MaterialKind.THREAD).stream()
                .filter(material -> material.facts().usePerHourNm() != null)
                .map(material -> new Spool(
                        material.id(),
                        material.name(),
                        new Length(material.facts().usePerHourNm())))
                .toList();
    }

    /** A thread and what a machine takes of it in an hour. */
    public record Spool(MaterialId materialId, String name, Length perHour) {}

    /** The shelves of some materials at one moment. */
    public static final class Shelves {

        private final Map<MaterialId, MaterialShelf> byId;

        private Shelves(Map<MaterialId, MaterialShelf> byId) {
            this.byId = byId;
        }

        /**
         * A material for a slot of a design; empty if there is no such material.
         *
         * @param batchId whose own reservations don't count as others'; absent for a batch that isn't stored yet
         * @param pieces the lots of offcuts and precuts that it may use
         */
        public Optional<Supply> supply(String slot, MaterialId id, @Nullable BatchId batchId, List<LotId> pieces) {
            return Optional.ofNullable(byId.get(id)).map(shelf -> shelf.supply(slot, batchId, pieces));
        }

        /** All offcuts and precuts of a material that a batch may use. */
        public List<ClothPiece> pieces(MaterialId id, @Nullable BatchId batchId) {
            return byId.containsKey(id) ? byId.get(id).pieces(batchId) : List.of();
        }

        /** What a batch holds of a part of a material. */
        public Amount heldFor(BatchId batchId, MaterialId id, Part part) {
            MaterialShelf shelf = byId.get(id);
            return shelf.held(part, null).minus(shelf.held(part, batchId));
        }

        public Amount onHand(MaterialId id, Part part) {
            return byId.get(id).onHand(part);
        }

        /** What a batch has taken of a material from the roll, less the offcuts that were kept, in minor units. */
        public long usedOfRoll(BatchId batchId, MaterialId id, Part part) {
            return byId.get(id).usedBy(batchId, m -> !m.isOfPieces() && m.part() == part);
        }

        /** How much a batch has taken of a material from the roll. */
        public Amount takenOfRoll(BatchId batchId, MaterialId id, Part part) {
            return byId.get(id).takenBy(batchId, part);
        }

        /** What was cut of a cloth from the roll for a batch, without what was cut once more. */
        public Amount cutOfRoll(BatchId batchId, MaterialId id) {
            return byId.get(id).cutFor(batchId);
        }

        /** What that cost, less the offcuts that were kept, in minor units. */
        public long costOfCut(BatchId batchId, MaterialId id) {
            return byId.get(id).usedBy(batchId, m -> !m.isOfPieces() && m.isPlanned());
        }

        /** What was cut of a lot of offcuts or precuts for a batch, without what was cut once more, in minor units. */
        public long costOfLot(BatchId batchId, MaterialId id, LotId lotId) {
            return byId.get(id)
                    .usedBy(
                            batchId,
                            m -> m.isPlanned()
                                    && m.lotId().filter(lotId::equals).isPresent());
        }

        /** How many pieces of a lot of offcuts or precuts were cut into for a batch, without those that were cut into once more. */
        public long piecesOfLot(BatchId batchId, MaterialId id, LotId lotId) {
            return byId.get(id).piecesTakenBy(batchId, lotId);
        }

        /** What some movements took of a material, less the offcuts that were kept of it, in minor units. */
        public long used(MaterialId id, Collection<Long> movements) {
            return movements.stream()
                    .mapToLong(movement -> byId.get(id).valuation().used(Long.toString(movement)))
                    .sum();
        }

        /** The dyers' marks of what a batch was cut from, as they compare; empty where it was cut from none. */
        public Set<String> dyesCutFor(BatchId batchId, MaterialId id) {
            return byId.get(id).dyesCutFor(batchId);
        }

        /** Where a lot lies; empty where nobody noted it. */
        public String placeOf(MaterialId id, LotId lotId) {
            return byId.get(id).lots().stream()
                    .filter(lot -> lot.id().equals(lotId))
                    .findFirst()
                    .map(Lot::place)
                    .orElse("");
        }

        /** What tells a lot from the others of its material: its number, its dye lot and its place. */
        public String nameOf(MaterialId id, LotId lotId) {
            MaterialShelf shelf = byId.get(id);
            return shelf == null
                    ? lotId.key()
                    : shelf.lots().stream()
                            .filter(lot -> lot.id().equals(lotId))
                            .findFirst()
                            .map(lot -> Stream.of(
                                            lotId.key(),
                                            lot.dyeLot().isBlank() ? "" : "dye lot " + lot.dyeLot(),
                                            lot.place())
                                    .filter(word -> !word.isBlank())
                                    .collect(Collectors.joining(", ")))
                            .orElse(lotId.key());
        }

        /** How many layers of a cloth are cut at once; empty where nobody said. */
        public Optional<Integer> layersAtOnce(MaterialId id) {
            return Optional.ofNullable(byId.get(id))
                    .map(shelf -> shelf.material().facts().layersAtOnce());
        }

        /** Whether all of a batch has to come from one dye lot. */
        public boolean isOneDyeLot(MaterialId id) {
            return byId.get(id).material().facts().oneDyeLot();
        }

        /** What a material looks like; empty if there is no such material. */
        public Optional<ClothLook> look(MaterialId id) {
            return Optional.ofNullable(byId.get(id)).map(shelf -> {
                Long repeat = shelf.material().facts().repeatNm();
                return new ClothLook(
                        shelf.material().colour(),
                        shelf.material().facts().print(),
                        repeat == null ? 0 : repeat / (double) LengthUnit.MILLIMETRE.nanometres());
            });
        }

        public boolean has(MaterialId id) {
            return byId.containsKey(id);
        }
    }
}
