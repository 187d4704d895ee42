package mardun.app.quote;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** What stands on every quote of the maker. */
@Entity
class QuotePaper {

    /** There is one of it. */
    static final int ONE = 1;

    @Id
    private Integer id;

    @Version
    private long version;

    private String heading;
    private String terms;
    private String depositPercent;
    private int validDays;

    protected QuotePaper() {}

    void enter(String newHeading, String newTerms, String newDeposit, int newValidDays) {
        heading = newHeading;
        terms = newTerms;
        depositPercent = newDeposit;
        validDays = newValidDays;
    }

    long version() {
        return version;
    }

    String heading() {
        return heading;
    }

    String terms() {
        return terms;
    }

    String depositPercent() {
        return depositPercent;
    }

    int validDays() {
        return validDays;
    }
}
