package mardun.app.id;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Collection;
import java.util.List;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The number of a material on the shelf; in documents and in the database it is just that number. */
public record MaterialId(@JsonValue long value) implements Comparable<MaterialId> {

    @JsonCreator
    public MaterialId {}

    /** The number written out, as the core's keys and addresses have it. */
    public static MaterialId valueOf(String key) {
        return new MaterialId(Long.parseLong(key));
    }

    /** The numbers themselves, for what asks the database by them. */
    public static List<Long> values(Collection<MaterialId> ids) {
        return ids.stream().map(MaterialId::value).toList();
    }

    /** This number as a key of the core. */
    public String key() {
        return Long.toString(value);
    }

    @Override
    public int compareTo(MaterialId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return key();
    }

    /** Keeps it in a column of numbers. */
    @Converter(autoApply = true)
    @Immutable
    static class InColumn implements AttributeConverter<MaterialId, Long> {

        @Override
        public @Nullable Long convertToDatabaseColumn(@Nullable MaterialId id) {
            return id == null ? null : id.value();
        }

        @Override
        public @Nullable MaterialId convertToEntityAttribute(@Nullable Long stored) {
            return stored == null ? null : new MaterialId(stored);
        }
    }
}
