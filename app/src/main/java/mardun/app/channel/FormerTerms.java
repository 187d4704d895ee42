package mardun.app.channel;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import mardun.app.id.ChannelId;
import org.hibernate.annotations.Immutable;

/** Terms of a channel that held until a moment. */
@Entity
@Immutable
class FormerTerms {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private ChannelId channelId;
    private Instant heldUntil;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredTerms.class)
    private TermsDocument terms;

    protected FormerTerms() {}

    FormerTerms(ChannelId channelId, Instant heldUntil, TermsDocument terms) {
        this.channelId = channelId;
        this.heldUntil = heldUntil;
        this.terms = terms;
    }

    Instant heldUntil() {
        return heldUntil;
    }

    TermsDocument terms() {
        return terms;
    }
}
