package mardun.app.buying;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** A shop that materials are bought from. */
@Entity
class Supplier {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private long postageMinor;

    void enter(String newName, long newPostageMinor) {
        name = newName;
        postageMinor = newPostageMinor;
    }

    long id() {
        return id;
    }

    long version() {
        return version;
    }

    String name() {
        return name;
    }

    long postageMinor() {
        return postageMinor;
    }
}
