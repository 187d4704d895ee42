package mardun.app.design;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A photo of a bag that was made of a design, in a cloth or in whatever cloth. */
@Entity
@Immutable
class DesignPhoto {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private DesignId designId;
    private @Nullable MaterialId materialId;
    private String photo;

    protected DesignPhoto() {}

    DesignPhoto(DesignId designId, @Nullable MaterialId materialId, String photo) {
        this.designId = designId;
        this.materialId = materialId;
        this.photo = photo;
    }

    long id() {
        return id;
    }

    DesignId designId() {
        return designId;
    }

    @Nullable
    MaterialId materialId() {
        return materialId;
    }

    String photo() {
        return photo;
    }

    /** Where it is asked for; another photo has another address, so that a browser may keep it. */
    String address() {
        return "/api/designs/" + designId + "/photos/" + id;
    }
}
