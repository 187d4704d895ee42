package mardun.app.bench;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import mardun.app.id.DesignId;

/** A photo of how a step of a design is done. */
@Entity
class StepPhoto {

    /** Of which design, and the step's key in it. */
    @Embeddable
    record Key(DesignId designId, String step) implements Serializable {}

    @EmbeddedId
    private Key key;

    private String photo;

    protected StepPhoto() {}

    StepPhoto(Key key, String photo) {
        this.key = key;
        this.photo = photo;
    }

    Key key() {
        return key;
    }

    String photo() {
        return photo;
    }

    void show(String another) {
        photo = another;
    }
}
