package mardun.app.design;

import java.util.Optional;
import mardun.app.id.DesignId;
import mardun.core.costing.UnitCost;
import mardun.core.making.WorkTime;

/**
 * What one bag of a size of a design takes, in the materials that the design names.
 *
 * @param cloth its outer cloth; empty where none is chosen
 * @param units the size of the batch that it is reckoned for
 * @param cost empty where something is missing
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
        Optional<UnitCost> cost) {}
