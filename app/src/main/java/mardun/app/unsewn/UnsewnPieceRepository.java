package mardun.app.unsewn;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface UnsewnPieceRepository extends JpaRepository<UnsewnPiece, Long> {

    /** What is there of some designs' pieces, what was put by first first. */
    @Query("""
            select new mardun.app.unsewn.PileThere(p, sum(m.changePieces), sum(m.changeMinor))
            from UnsewnPiece p join UnsewnMovement m on m.pieceId = p.id
            where p.designId in :designIds group by p having sum(m.changePieces) > 0 order by p.id""")
    List<PileThere> ofDesigns(Collection<DesignId> designIds);

    /** The same, of one batch. */
    @Query("""
            select new mardun.app.unsewn.PileThere(p, sum(m.changePieces), sum(m.changeMinor))
            from UnsewnPiece p join UnsewnMovement m on m.pieceId = p.id
            where p.batchId = :batchId group by p having sum(m.changePieces) > 0 order by p.id""")
    List<PileThere> ofBatch(BatchId batchId);

    /** The same, of one pile. */
    @Query("""
            select new mardun.app.unsewn.PileThere(p, sum(m.changePieces), sum(m.changeMinor))
            from UnsewnPiece p join UnsewnMovement m on m.pieceId = p.id where p.id = :id group by p""")
    PileThere there(long id);

    /** A page of what is there, by design. */
    @Query(value = """
            select new mardun.app.unsewn.PileThere(p, sum(m.changePieces), sum(m.changeMinor))
            from UnsewnPiece p join UnsewnMovement m on m.pieceId = p.id
            where lower(concat(p.designName, ' ', p.sizeName, ' ', p.pieceName)) like :words escape '!'
            group by p having sum(m.changePieces) > 0
            order by p.designName, p.sizeName, p.batchId, p.lineNumber, p.materialId, p.letter""", countQuery = """
            select count(p) from UnsewnPiece p
            where lower(concat(p.designName, ' ', p.sizeName, ' ', p.pieceName)) like :words escape '!'
              and (select sum(m.changePieces) from UnsewnMovement m where m.pieceId = p.id) > 0""")
    Page<PileThere> search(String words, Pageable page);

    /** The pile, held for this transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from UnsewnPiece p where p.id = :id")
    Optional<UnsewnPiece> findForMoving(long id);

    Optional<UnsewnPiece> findByBatchIdAndLineNumberAndMaterialIdAndLetter(
            BatchId batchId, int lineNumber, MaterialId materialId, String letter);
}
