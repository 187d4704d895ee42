package mardun.app.id;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The number of a batch; in documents and in the database it is just that number. */
public record BatchId(@JsonValue long value) implements Comparable<BatchId> {

    @JsonCreator
    public BatchId {}

    /** The number written out, as the core's keys and addresses have it. */
    public static BatchId valueOf(String key) {
        return new BatchId(Long.parseLong(key));
    }

    /** This number as a key of the core. */
    public String key() {
        return Long.toString(value);
    }

    @Override
    public int compareTo(BatchId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return key();
    }

    /** Keeps it in a column of numbers. */
    @Converter(autoApply = true)
    @Immutable
    static class InColumn implements AttributeConverter<BatchId, Long> {

        @Override
        public @Nullable Long convertToDatabaseColumn(@Nullable BatchId id) {
            return id == null ? null : id.value();
        }

        @Override
        public @Nullable BatchId convertToEntityAttribute(@Nullable Long stored) {
            return stored == null ? null : new BatchId(stored);
        }
    }
}
