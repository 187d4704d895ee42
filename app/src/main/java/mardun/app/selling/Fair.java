package mardun.app.selling;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.id.FairId;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.selling.SettledDocument.Gone;
import org.hibernate.annotations.Mutability;
import org.hibernate.type.descriptor.java.Immutability;
import org.jspecify.annotations.Nullable;

/** A craft fair that the maker goes to, or thinks of. */
@Entity
class Fair {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private LocalDate heldOn;
    private LocalDate endsOn;

    /** The name of its series as it compares with others. */
    private String series;

    @Enumerated(EnumType.STRING)
    private FairState state;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredFairForm.class)
    private @Nullable FairForm document;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredSettled.class)
    private @Nullable SettledDocument settled;

    protected Fair() {}

    Fair(FairForm typed) {
        enter(typed);
    }

    /** What was typed of it anew. */
    void enter(FairForm typed) {
        name = typed.name().strip();
        heldOn = typed.heldOn();
        endsOn = typed.lastDay();
        series = FairForm.seriesOf(typed.series().isBlank() ? name : typed.series());
        state = typed.state();
        document = typed;
    }

    /** It is over and counted. */
    void settle(SettledDocument counted, @Nullable Footfall footfall, @Nullable Weather weather) {
        document = form().seen(footfall, weather);
        settled = counted;
        state = FairState.DONE;
    }

    /** It is counted once more; what was said before of bags that were gone still holds. */
    void openAgain() {
        state = FairState.PAID;
    }

    FairId id() {
        return new FairId(id);
    }

    long version() {
        return version;
    }

    String name() {
        return name;
    }

    LocalDate heldOn() {
        return heldOn;
    }

    LocalDate endsOn() {
        return endsOn;
    }

    /** What tells its series; of fairs from before that was kept, their name. */
    String series() {
        return series(series, name);
    }

    static String series(String kept, String name) {
        return kept.isEmpty() ? FairForm.seriesOf(name) : kept;
    }

    FairState state() {
        return state;
    }

    /** What was typed of it. */
    FairForm form() {
        return document == null ? FairForm.of(name, heldOn, endsOn).in(state) : document.in(state);
    }

    Optional<SettledDocument> settled() {
        return state == FairState.DONE ? Optional.ofNullable(settled) : Optional.empty();
    }

    /** What was said of bags that were gone when it was counted before. */
    List<Gone> goneBefore() {
        return settled == null ? List.of() : settled.gone();
    }
}
