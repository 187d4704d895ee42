package mardun.app.design;

import java.util.List;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.core.design.Casing;
import mardun.core.design.Measurement;
import mardun.core.design.NotionNeed;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;

/** A building block: steps that many designs share, with the pieces, trims and measurements that they need. */
public record BlockDocument(
        List<Measurement> measurements,
        List<PieceRow> pieces,
        List<TrimNeed> trims,
        List<NotionNeed> notions,
        List<ZipFit> zips,
        List<Strap> straps,
        List<Casing> casings,
        List<StepRow> steps,
        List<SlotRow> slots) {}
