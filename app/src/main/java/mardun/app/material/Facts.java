package mardun.app.material;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.util.Optional;
import mardun.core.material.ClosedZip;
import mardun.core.material.Shrinkage;
import mardun.core.material.Ware;
import mardun.core.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * What a material is like, beyond its name and price.
 *
 * @param fullWidthNm from edge to edge, selvages included
 * @param selvageNm on each side
 * @param shrinkageShare the share of length and width that it still loses, from 0 to less than 1
 * @param shrinksAfterCutting it isn't washed before it is cut
 * @param ironable empty where it is as usual for its kind of cloth
 * @param frays empty where it is as usual for its kind of cloth
 * @param layersAtOnce how many layers of it may be cut at once; empty where nobody said
 * @param needle which one it asks for
 * @param care words for labels
 * @param oneDyeLot all of a batch has to come from one dye lot
 * @param twoPart its halves are counted apart, and sold as sets
 * @param ware what a trim or a notion is; empty where nobody said
 * @param zipLengthNm of a closed-end zip
 * @param usePerHourNm of thread, what a machine takes in an hour
 * @param targetValue up to where the shelf is filled once it is low
 * @param place where it usually lies
 */
@Embeddable
record Facts(
        @Nullable Long fullWidthNm,
        @Nullable Long selvageNm,
        String fibre,
        @Enumerated(EnumType.STRING) @Nullable WeightClass weightClass,
        boolean nap,
        @Nullable Long repeatNm,
        @Column(name = "shrinkage") BigDecimal shrinkageShare,
        boolean shrinksAfterCutting,
        @Nullable Boolean ironable,
        @Nullable Boolean frays,
        @Nullable Integer layersAtOnce,
        String needle,
        String care,
        @Enumerated(EnumType.STRING) Print print,
        boolean oneDyeLot,
        boolean twoPart,
        @Enumerated(EnumType.STRING) @Nullable Ware ware,
        @Nullable Long zipLengthNm,
        boolean zipMetal,
        @Nullable Long usePerHourNm,
        @Nullable Long targetValue,
        String place) {

    static final Facts NONE = new Facts(
            null,
            null,
            "",
            null,
            false,
            null,
            BigDecimal.ZERO,
            false,
            null,
            null,
            null,
            "",
            "",
            Print.PLAIN,
            false,
            false,
            null,
            null,
            false,
            null,
            null,
            "");

    Shrinkage shrinkage() {
        return new Shrinkage(shrinkageShare, shrinksAfterCutting);
    }

    Optional<ClosedZip> zip() {
        return Optional.ofNullable(zipLengthNm).map(length -> new ClosedZip(new Length(length), zipMetal));
    }

    static Optional<Length> length(@Nullable Long nanometres) {
        return Optional.ofNullable(nanometres).map(Length::new);
    }
}
