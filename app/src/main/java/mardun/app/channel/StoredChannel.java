package mardun.app.channel;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import mardun.app.id.ChannelId;
import mardun.core.pricing.Channel;

/** A way of selling, on the terms that hold now. */
@Entity
@Table(name = "channel")
class StoredChannel {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;

    @Enumerated(EnumType.STRING)
    private Channel.Kind kind;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredTerms.class)
    private TermsDocument terms;

    private boolean putAway;

    protected StoredChannel() {}

    StoredChannel(String name, Channel.Kind kind, TermsDocument terms) {
        enter(name, kind, terms);
    }

    void enter(String newName, Channel.Kind newKind, TermsDocument newTerms) {
        name = newName;
        kind = newKind;
        terms = newTerms;
    }

    void putAway(boolean isPutAway) {
        putAway = isPutAway;
    }

    ChannelId id() {
        return new ChannelId(id);
    }

    TermsDocument terms() {
        return terms;
    }

    KeptChannel kept() {
        return new KeptChannel(id(), version, name, kind, terms, putAway);
    }
}
