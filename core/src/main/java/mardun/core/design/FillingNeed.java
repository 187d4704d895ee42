package mardun.core.design;

import java.util.List;

/**
 * What is filled in, by weight or volume.
 *
 * @param amounts as typed, like {@code 120 g} or {@code 1/2 l}: one for each size, or a single one for all
 */
public record FillingNeed(String name, String slot, List<String> amounts) {

    public FillingNeed {
        amounts = List.copyOf(amounts);
    }

    String amountFor(int size) {
        return amounts.size() == 1 ? amounts.get(0) : amounts.get(size);
    }
}
