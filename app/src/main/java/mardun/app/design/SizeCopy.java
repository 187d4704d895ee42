package mardun.app.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mardun.app.design.DesignViews.NewSize;
import mardun.app.problem.FieldReader;
import mardun.core.design.FillingNeed;
import mardun.core.design.Measurement;
import mardun.core.measure.MeasureException;
import mardun.core.measure.UnitSystem;

/** Copies a size of a design under a new name, with some measurements changed in one go: "2 cm taller". */
final class SizeCopy {

    private SizeCopy() {}

    static DesignDocument of(NewSize form, UnitSystem system) {
        DesignDocument d = form.document();
        FieldReader fields = new FieldReader();
        String name = fields.text("name", form.name(), 60);
        if (d.sizes().contains(name)) {
            fields.refuse("name", name, "There is a size “" + name + "” already. Type another name.");
        }
        if (form.copyOf() < 0 || form.copyOf() >= d.sizes().size()) {
            fields.refuse("copyOf", Integer.toString(form.copyOf()), "There is no such size to copy.");
        }
        fields.check();
        Map<String, String> changes = new LinkedHashMap<>();
        form.changes().stream()
                .filter(change -> !change.change().isBlank())
                .forEach(change -> changes.put(change.symbol(), change.change()));
        List<Measurement> measurements = d.measurements().stream()
                .map(m -> new Measurement(
                        m.symbol(),
                        m.label(),
                        m.kind(),
                        values(m, form.copyOf(), d.sizes().size(), changes.get(m.symbol()), system, fields),
                        m.options()))
                .toList();
        fields.check();
        List<String> sizes = new ArrayList<>(d.sizes());
        sizes.add(name);
        List<String> keys = new ArrayList<>(d.keyed().sizeKeys());
        keys.add(d.freeSizeKey());
        return d.sized(
                sizes,
                keys,
                measurements,
                d.fillings().stream()
                        .map(f -> new FillingNeed(f.name(), f.slot(), copied(f.amounts(), form.copyOf())))
                        .toList());
    }

    /**
     * The design with its sizes in another order, or with some of them left out.
     *
     * @param order the places of the sizes that stay, each once, in their new order
     */
    static DesignDocument arranged(DesignDocument typed, List<Integer> order, FieldReader fields) {
        DesignDocument d = typed.keyed();
        boolean possible = !order.isEmpty()
                && Set.copyOf(order).size() == order.size()
                && order.stream().allMatch(i -> i >= 0 && i < d.sizes().size());
        if (!possible) {
            fields.refuse("order", order.toString(), "A design keeps at least one size, and each of them once.");
        }
        fields.check();
        return d.sized(
                arranged(d.sizes(), order),
                arranged(d.sizeKeys(), order),
                d.measurements().stream()
                        .map(m -> new Measurement(
                                m.symbol(), m.label(), m.kind(), perSize(m.values(), order), m.options()))
                        .toList(),
                d.fillings().stream()
                        .map(f -> new FillingNeed(f.name(), f.slot(), perSize(f.amounts(), order)))
                        .toList());
    }

    private static List<String> perSize(List<String> values, List<Integer> order) {
        return values.size() == 1 ? values : arranged(values, order);
    }

    private static <T> List<T> arranged(List<T> all, List<Integer> order) {
        return order.stream().filter(i -> i < all.size()).map(all::get).toList();
    }

    /** A row that is the same for all sizes stays so, unless the new size has it otherwise. */
    private static List<String> values(
            Measurement m, int copyOf, int sizes, String change, UnitSystem system, FieldReader fields) {
        if (change == null) {
            return copied(m.values(), copyOf);
        }
        List<String> values = new ArrayList<>();
        for (int i = 0; i < sizes; i++) {
            values.add(m.values().get(m.values().size() == 1 ? 0 : i));
        }
        try {
            values.add(Measurement.changed(values.get(copyOf), change, system));
        } catch (MeasureException unreadable) {
            fields.refuse("changes." + m.symbol(), change, m.label() + ": " + unreadable.getMessage() + ".");
        }
        return values;
    }

    private static List<String> copied(List<String> values, int copyOf) {
        if (values.size() == 1) {
            return values;
        }
        List<String> more = new ArrayList<>(values);
        more.add(values.get(copyOf));
        return more;
    }
}
