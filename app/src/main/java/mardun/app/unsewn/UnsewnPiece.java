package mardun.app.unsewn;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.unsewn.UnsewnShelf.PutBy;
import mardun.core.batch.UnsewnPieces;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/** Pieces of one kind that were cut for a line of a batch and not sewn. */
@Entity
class UnsewnPiece {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private BatchId batchId;
    private int lineNumber;
    private DesignId designId;
    private String designName;
    private String sizeName;
    private MaterialId materialId;
    private String letter;
    private String pieceName;
    private long widthNm;
    private long heightNm;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String outline;

    private long perBag;

    protected UnsewnPiece() {}

    UnsewnPiece(BatchId batchId, PutBy cut) {
        this.batchId = batchId;
        this.lineNumber = cut.line();
        this.designId = cut.designId();
        this.designName = cut.designName();
        this.sizeName = cut.sizeName();
        this.materialId = cut.materialId();
        this.letter = cut.piece().piece().letter();
        this.pieceName = cut.piece().piece().name();
        this.widthNm = cut.piece().extent().width().nanometres();
        this.heightNm = cut.piece().extent().height().nanometres();
        this.outline = cut.piece().outline().path();
        this.perBag = cut.piece().count();
    }

    long id() {
        return id;
    }

    BatchId batchId() {
        return batchId;
    }

    int lineNumber() {
        return lineNumber;
    }

    DesignId designId() {
        return designId;
    }

    String designName() {
        return designName;
    }

    String sizeName() {
        return sizeName;
    }

    MaterialId materialId() {
        return materialId;
    }

    String letter() {
        return letter;
    }

    String pieceName() {
        return pieceName;
    }

    Extent extent() {
        return new Extent(new Length(widthNm), new Length(heightNm));
    }

    /** How many of them one bag takes. */
    long perBag() {
        return perBag;
    }

    UnsewnPieces.Kind kind() {
        return new UnsewnPieces.Kind(designId.key(), materialId.key(), letter, extent(), outline);
    }
}
