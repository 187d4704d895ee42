package mardun.app.goods;

import java.util.Optional;
import mardun.app.channel.PricePlace;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;

/**
 * Finished bags of which some are left, as other areas reckon with them.
 *
 * @param batchId the batch that gave them; empty for bags that were entered from a list
 * @param lineNumber the line of it; empty likewise
 * @param designId empty for bags that were entered from a list
 * @param sizeKey what the size is known by; empty where nobody kept that
 * @param clothId its outer cloth; empty likewise
 * @param units how many are left, wherever they are
 * @param isUsual nothing was chosen otherwise than usual
 * @param priceMinor what was asked for one when they were done
 */
public record GoodsThere(
        long id,
        Optional<BatchId> batchId,
        Optional<Integer> lineNumber,
        Optional<DesignId> designId,
        String designName,
        Optional<String> sizeKey,
        String sizeName,
        Optional<MaterialId> clothId,
        String clothName,
        Quality quality,
        int units,
        boolean isUsual,
        long priceMinor) {

    /** Where their price stands in the book; nowhere for what was chosen otherwise than usual. */
    public Optional<PricePlace> inBook(ChannelId channel) {
        return BagKind.inBook(designId, sizeKey, clothId, channel).filter(place -> isUsual);
    }
}
