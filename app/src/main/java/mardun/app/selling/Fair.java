package mardun.app.selling;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;

/** A craft fair that the maker goes to. */
@Entity
class Fair {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private LocalDate heldOn;

    protected Fair() {}

    Fair(String name, LocalDate heldOn) {
        this.name = name;
        this.heldOn = heldOn;
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    LocalDate heldOn() {
        return heldOn;
    }
}
