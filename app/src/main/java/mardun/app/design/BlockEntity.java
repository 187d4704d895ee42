package mardun.app.design;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** A building block that the maker keeps, in one variant. */
@Entity
@Table(name = "design_block")
class BlockEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String variant;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    private String document;

    private Instant createdAt;

    protected BlockEntity() {}

    BlockEntity(String name, String variant, String document, Instant createdAt) {
        this.name = name;
        this.variant = variant;
        this.document = document;
        this.createdAt = createdAt;
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    String variant() {
        return variant;
    }

    String document() {
        return document;
    }
}
