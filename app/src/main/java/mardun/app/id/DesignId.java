package mardun.app.id;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The number of a design; in documents and in the database it is just that number. */
public record DesignId(@JsonValue long value) implements Comparable<DesignId> {

    @JsonCreator
    public DesignId {}

    /** The number written out, as the core's keys and addresses have it. */
    public static DesignId valueOf(String key) {
        return new DesignId(Long.parseLong(key));
    }

    /** This number as a key of the core. */
    public String key() {
        return Long.toString(value);
    }

    @Override
    public int compareTo(DesignId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return key();
    }

    /** Keeps it in a column of numbers. */
    @Converter(autoApply = true)
    @Immutable
    static class InColumn implements AttributeConverter<DesignId, Long> {

        @Override
        public @Nullable Long convertToDatabaseColumn(@Nullable DesignId id) {
            return id == null ? null : id.value();
        }

        @Override
        public @Nullable DesignId convertToEntityAttribute(@Nullable Long stored) {
            return stored == null ? null : new DesignId(stored);
        }
    }
}
