package mardun.app.season;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.util.Optional;
import mardun.app.season.SeasonViews.SeasonForm;
import org.jspecify.annotations.Nullable;

/** What was last asked of the plan of a season. */
@Entity
class SeasonWish {

    /** There is one of it. */
    static final int ONE = 1;

    @Id
    private Integer id;

    @Version
    private long version;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredSeasonForm.class)
    private @Nullable SeasonForm form;

    protected SeasonWish() {}

    void ask(SeasonForm asked) {
        form = asked;
    }

    long version() {
        return version;
    }

    Optional<SeasonForm> form() {
        return Optional.ofNullable(form);
    }
}
