package mardun.app.design;

import java.util.ArrayList;
import java.util.Arrays;
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

    private static final int MOST_AT_ONCE = 12;

    /** One size more, or several by one rule: each copied from the one before it, with the same changes. */
    static DesignDocument of(NewSize form, UnitSystem system) {
        FieldReader fields = new FieldReader();
        List<String> names = Arrays.stream(form.name().split(","))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        if (names.size() > MOST_AT_ONCE) {
            fields.refuse(
                    "name",
                    form.name(),
                    "These are " + names.size() + " sizes. Add at most " + MOST_AT_ONCE + " at once.");
        }
        if (form.copyOf() < 0 || form.copyOf() >= form.document().sizes().size()) {
            fields.refuse("copyOf", Integer.toString(form.copyOf()), "There is no such size to copy.");
        }
        fields.check();
        Map<String, String> changes = new LinkedHashMap<>();
        form.changes().stream()
                .filter(change -> !change.change().isBlank())
                .forEach(change -> changes.put(change.symbol(), change.change()));
        DesignDocument sized = form.document();
        int from = form.copyOf();
        for (String name : names.isEmpty() ? List.of("") : names) {
            sized = with(sized, from, name, changes, system);
            from = sized.sizes().size() - 1;
        }
        return sized;
    }

    private static DesignDocument with(
            DesignDocument d, int copyOf, String typed, Map<String, String> changes, UnitSystem system) {
        FieldReader fields = new FieldReader();
        String name = fields.text("name", typed, 60);
        if (d.sizes().contains(name)) {
            fields.refuse("name", name, "There is a size “" + name + "” already. Type another name.");
        }
        fields.check();
        List<Measurement> measurements = d.measurements().stream()
                .map(m -> new Measurement(
                        m.symbol(),
                        m.label(),
                        m.kind(),
                        values(m, copyOf, d.sizes().size(), changes.get(m.symbol()), system, fields),
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
                        .map(f -> new FillingNeed(f.name(), f.slot(), copied(f.amounts(), copyOf)))
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
