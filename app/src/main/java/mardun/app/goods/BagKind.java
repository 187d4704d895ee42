package mardun.app.goods;

import java.util.Optional;
import mardun.app.channel.PricePlace;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;

/**
 * Bags that are the same to a buyer: of one design, size, cloth and quality, and chosen alike where the design leaves something open,
 * whichever batch gave them.
 *
 * @param key tells it from others; the same for the same bags, also after a design or a cloth was renamed
 * @param designId empty for bags that were entered from a list
 * @param sizeKey empty where nobody kept that
 * @param clothId its outer cloth; empty likewise
 * @param sizeName with what was chosen otherwise than usual
 * @param isUsual nothing was
 */
public record BagKind(
        String key,
        Optional<DesignId> designId,
        Optional<String> sizeKey,
        Optional<MaterialId> clothId,
        String designName,
        String sizeName,
        String clothName,
        Quality quality,
        boolean isUsual) {

    /** What tells the kind of some bags from others. */
    static String keyOf(FinishedGoods goods) {
        String design = goods.designId().map(DesignId::key).orElseGet(() -> "“" + goods.designName() + "”");
        String size = goods.sizeKey().orElseGet(() -> "“" + goods.sizeName() + "”");
        String cloth = goods.clothId().map(MaterialId::key).orElseGet(() -> "“" + goods.clothName() + "”");
        String usual = design + "/" + size + "/" + cloth + "/" + goods.quality();
        return goods.isUsual() ? usual : usual + "/" + goods.choiceKey();
    }

    /** What tells bags of a design from others that have a number for all of it. */
    public static String keyOf(DesignId design, String sizeKey, Optional<MaterialId> cloth, Quality quality) {
        return design.key() + "/" + sizeKey + "/" + cloth.map(MaterialId::key).orElse("“”") + "/" + quality;
    }

    static BagKind of(FinishedGoods goods) {
        return new BagKind(
                goods.bagKind(),
                goods.designId(),
                goods.sizeKey(),
                goods.clothId(),
                goods.designName(),
                goods.sizeName(),
                goods.clothName(),
                goods.quality(),
                goods.isUsual());
    }

    /** Where its price stands in the book; nowhere for seconds, for kits, and for what was chosen otherwise than usual. */
    public Optional<PricePlace> inBook(ChannelId channel) {
        return inBook(designId, sizeKey, clothId, channel).filter(place -> quality == Quality.GOOD && isUsual);
    }

    /** Where the price stands of good bags that are otherwise the same; nowhere for kits, and for what was chosen otherwise than usual. */
    public Optional<PricePlace> ofGoodOnes(ChannelId channel) {
        return inBook(designId, sizeKey, clothId, channel).filter(place -> quality != Quality.KIT && isUsual);
    }

    static Optional<PricePlace> inBook(
            Optional<DesignId> design, Optional<String> size, Optional<MaterialId> cloth, ChannelId channel) {
        return design.map(id -> new PricePlace(id, size.orElse(""), channel).in(cloth));
    }

    /** As it is called: {@code Heron pouch, small, Reed Stripe}. */
    public String words() {
        return designName
                + (sizeName.isBlank() ? "" : ", " + sizeName)
                + (clothName.isBlank() ? "" : ", " + clothName)
                + (quality == Quality.GOOD ? "" : ", " + quality.words());
    }
}
