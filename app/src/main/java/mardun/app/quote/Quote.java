package mardun.app.quote;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.problem.RefusedException;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuoteState;

/** A quote for a private order. */
@Entity
class Quote {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private Instant begunAt;

    @Enumerated(EnumType.STRING)
    private QuoteState state;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredForm.class)
    private QuoteForm form;

    private String reason;
    private boolean forgotten;
    private Instant decidedAt;

    @OneToMany(mappedBy = "quote", cascade = CascadeType.ALL)
    @OrderBy("number")
    private List<QuoteVersion> versions = new ArrayList<>();

    protected Quote() {}

    Quote(Instant begunAt, QuoteForm form) {
        this.begunAt = begunAt;
        this.state = QuoteState.DRAFT;
        this.form = form;
        this.reason = "";
    }

    /** What was typed anew; what was given before stays as it was. */
    void enter(QuoteForm typed) {
        refuseDecided();
        form = typed;
    }

    /** It is given to the customer as it stands. */
    void give(GivenPaper paper, Instant at) {
        refuseDecided();
        versions.add(new QuoteVersion(this, versions.size() + 1, at, paper));
        state = QuoteState.GIVEN;
    }

    void accept(Instant at) {
        refuseDecided();
        state = QuoteState.ACCEPTED;
        decidedAt = at;
    }

    void decline(String why, Instant at) {
        refuseDecided();
        state = QuoteState.DECLINED;
        reason = why;
        decidedAt = at;
    }

    /** The customer came back to one that was declined. */
    void openAgain() {
        if (state != QuoteState.DECLINED) {
            throw RefusedException.conflict("Only a quote that was declined is opened again.");
        }
        if (forgotten) {
            throw RefusedException.conflict("Who asked for this quote is forgotten, so it stays closed.");
        }
        state = versions.isEmpty() ? QuoteState.DRAFT : QuoteState.GIVEN;
        reason = "";
        decidedAt = null;
    }

    /** Who asked is kept no longer; the figures stay. */
    void forget() {
        if (!isDecided()) {
            throw RefusedException.conflict(
                    "This quote isn’t decided yet, so who it is for is needed. Say what came of it first.");
        }
        form = form.forgotten();
        versions.forEach(QuoteVersion::forget);
        reason = "";
        forgotten = true;
    }

    boolean isForgotten() {
        return forgotten;
    }

    /** Whether the customer has taken it or declined it. */
    boolean isDecided() {
        return state == QuoteState.ACCEPTED || state == QuoteState.DECLINED;
    }

    private void refuseDecided() {
        if (state == QuoteState.ACCEPTED) {
            throw RefusedException.conflict("This quote was accepted; what was agreed stays as it is.");
        }
        if (state == QuoteState.DECLINED) {
            throw RefusedException.conflict("This quote was declined. Open it again first.");
        }
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    Instant begunAt() {
        return begunAt;
    }

    QuoteState state() {
        return state;
    }

    QuoteForm form() {
        return form;
    }

    String reason() {
        return reason;
    }

    List<QuoteVersion> versions() {
        return versions;
    }

    Optional<QuoteVersion> last() {
        return versions.isEmpty() ? Optional.empty() : Optional.of(versions.get(versions.size() - 1));
    }

    /**
     * One of the versions that were given.
     *
     * @throws RefusedException if there is none with that number
     */
    QuoteVersion version(int number) {
        return versions.stream()
                .filter(one -> one.number() == number)
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("This quote has no version " + number + "."));
    }
}
