package mardun.app.posting;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import mardun.app.id.DesignId;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;

/** What a bag of a size of a design weighs, and how thick it is when it lies flat. */
@Entity
class BagParcel {

    /** A size of a design. */
    @Embeddable
    record Size(long designId, String sizeKey) implements Serializable {

        static Size of(DesignId design, String sizeKey) {
            return new Size(design.value(), sizeKey);
        }
    }

    @EmbeddedId
    private Size size;

    private long weightNg;
    private long thickNm;

    protected BagParcel() {}

    BagParcel(Size size, Bulk weight, Length thick) {
        this.size = size;
        this.weightNg = weight.amount();
        this.thickNm = thick.nanometres();
    }

    Size size() {
        return size;
    }

    Bulk weight() {
        return new Bulk(Bulk.Kind.WEIGHT, weightNg);
    }

    Length thick() {
        return new Length(thickNm);
    }
}
