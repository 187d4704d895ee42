package mardun.app.id;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The number of a fair; in documents and in the database it is just that number. */
public record FairId(@JsonValue long value) implements Comparable<FairId> {

    @JsonCreator
    public FairId {}

    /** The number written out, as the core's keys and addresses have it. */
    public static FairId valueOf(String key) {
        return new FairId(Long.parseLong(key));
    }

    /** This number as a key of the core. */
    public String key() {
        return Long.toString(value);
    }

    @Override
    public int compareTo(FairId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return key();
    }

    /** Keeps it in a column of numbers. */
    @Converter(autoApply = true)
    @Immutable
    static class InColumn implements AttributeConverter<FairId, Long> {

        @Override
        public @Nullable Long convertToDatabaseColumn(@Nullable FairId id) {
            return id == null ? null : id.value();
        }

        @Override
        public @Nullable FairId convertToEntityAttribute(@Nullable Long stored) {
            return stored == null ? null : new FairId(stored);
        }
    }
}
