package mardun.app.ticket;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import mardun.core.label.LabelSheet;

/** A sheet of labels that the maker measured herself. */
@Entity
class OwnSheet {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredMeasures.class)
    private SheetMeasures measures;

    private boolean putAway;

    protected OwnSheet() {}

    OwnSheet(String name, LabelSheet sheet) {
        this.name = name;
        this.measures = SheetMeasures.of(sheet);
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    LabelSheet sheet() {
        return measures.sheet();
    }

    void putAway() {
        putAway = true;
    }
}
