package mardun.app.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;

/** What one shop sent or sold at one time, as its paper says. Its lines are lots on the shelf. */
@Entity
class Delivery {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long supplierId;
    private String paperNumber;
    private LocalDate cameOn;
    private long postageMinor;
    private long dutyMinor;
    private long totalMinor;

    protected Delivery() {}

    Delivery(
            long supplierId, String paperNumber, LocalDate cameOn, long postageMinor, long dutyMinor, long totalMinor) {
        this.supplierId = supplierId;
        this.paperNumber = paperNumber;
        this.cameOn = cameOn;
        this.postageMinor = postageMinor;
        this.dutyMinor = dutyMinor;
        this.totalMinor = totalMinor;
    }

    long id() {
        return id;
    }

    long supplierId() {
        return supplierId;
    }

    String paperNumber() {
        return paperNumber;
    }

    LocalDate cameOn() {
        return cameOn;
    }

    long postageMinor() {
        return postageMinor;
    }

    long dutyMinor() {
        return dutyMinor;
    }

    long totalMinor() {
        return totalMinor;
    }
}
