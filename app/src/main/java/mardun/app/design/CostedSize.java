package mardun.app.design;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.core.batch.Need;
import mardun.core.costing.UnitCost;
import mardun.core.design.Source;
import mardun.core.making.WorkTime;

/**
 * What one bag of a size of a design takes, in the materials that the design names.
 *
 * @param cloth its outer cloth; empty where none is chosen
 * @param units the size of the batch that it is reckoned for
 * @param cost empty where something is missing
 * @param nameOfSize as the design calls it, also where it has only this one
 * @param outer which slot its outer cloth fills; empty where it has none
 * @param clothId its outer cloth; empty where none is chosen
 * @param materials that fill its slots
 * @param needs what all of the batch take of materials
 * @param source whose pattern it is, and how many of it may be made to be sold
 */
public record CostedSize(
        DesignId designId,
        String designName,
        String sort,
        String sizeKey,
        String sizeName,
        String cloth,
        int units,
        WorkTime time,
        Optional<UnitCost> cost,
        String nameOfSize,
        String outer,
        Optional<MaterialId> clothId,
        Map<String, MaterialId> materials,
        List<Need> needs,
        Source source) {}
