package mardun.app.price;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.util.List;
import mardun.app.price.PriceViews.YearlyCost;

/** What a year costs beside material and labour, as the maker typed it. */
@Entity
class OverheadSheet {

    /** There is one of it. */
    static final int ONE = 1;

    @Id
    private Integer id;

    @Version
    private long version;

    private String hours;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredYearlyCosts.class)
    private List<YearlyCost> lines;

    protected OverheadSheet() {}

    void enter(String newHours, List<YearlyCost> newLines) {
        hours = newHours;
        lines = List.copyOf(newLines);
    }

    long version() {
        return version;
    }

    String hours() {
        return hours;
    }

    List<YearlyCost> lines() {
        return lines;
    }
}
