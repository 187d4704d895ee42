package mardun.app.quote;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import java.time.Instant;

/** A quote as it was given to the customer. It never changes, but for whose it was, which can be forgotten. */
@Entity
class QuoteVersion {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(fetch = FetchType.LAZY)
    private Quote quote;

    private int number;
    private Instant givenAt;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredPaper.class)
    private GivenPaper paper;

    protected QuoteVersion() {}

    QuoteVersion(Quote quote, int number, Instant givenAt, GivenPaper paper) {
        this.quote = quote;
        this.number = number;
        this.givenAt = givenAt;
        this.paper = paper;
    }

    void forget() {
        paper = paper.forgotten();
    }

    int number() {
        return number;
    }

    Instant givenAt() {
        return givenAt;
    }

    GivenPaper paper() {
        return paper;
    }
}
