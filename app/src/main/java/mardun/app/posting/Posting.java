package mardun.app.posting;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** What stands on parcels, and what a packing weighs. There is one row. */
@Entity
class Posting {

    static final int ONE = 1;

    @Id
    private Integer id;

    @Version
    private long version;

    private String sender;
    private long packingNg;
    private String pressCard;
    private String unironedCard;

    protected Posting() {}

    void enter(String from, long packing, String press, String unironed) {
        sender = from;
        packingNg = packing;
        pressCard = press;
        unironedCard = unironed;
    }

    long version() {
        return version;
    }

    String sender() {
        return sender;
    }

    long packingNg() {
        return packingNg;
    }

    /** What tells how to press a bag on arrival. */
    String pressCard() {
        return pressCard;
    }

    /** The same for bags that no iron may touch. */
    String unironedCard() {
        return unironedCard;
    }
}
