package mardun.core.design;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;

/**
 * What a bag was sewn from and with: the panel's size as it was cut, and the measures of its form as they were sewn.
 *
 * @param other the second panel that the form asks for: a gusset, a round base
 */
public record Sewn(Quantity width, Quantity height, Optional<Sides> other, Map<FormMeasure, Quantity> measures) {

    static final Quantity NOTHING = Quantity.of(Length.ZERO);

    /** A panel's two sides as they were cut. */
    public record Sides(Quantity width, Quantity height) {}

    public Sewn {
        measures = Map.copyOf(measures);
    }

    public Quantity get(FormMeasure measure) {
        return measures.getOrDefault(measure, NOTHING);
    }

    public boolean has(FormMeasure measure) {
        return measures.containsKey(measure);
    }

    Sewn with(FormMeasure measure, Quantity value) {
        Map<FormMeasure, Quantity> changed = new EnumMap<>(FormMeasure.class);
        changed.putAll(measures);
        changed.put(measure, value);
        return new Sewn(width, height, other, changed);
    }

    /** The first of these that takes something. */
    Optional<Quantity> first(FormMeasure... some) {
        return Stream.of(some)
                .map(this::get)
                .filter(one -> one.value().signum() > 0)
                .findFirst();
    }

    Sewn cut(Quantity newWidth, Quantity newHeight) {
        return new Sewn(newWidth, newHeight, other, measures);
    }
}
