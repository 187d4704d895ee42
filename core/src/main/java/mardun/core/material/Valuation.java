package mardun.core.material;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What came to the shelf, what left it and what is left, in money, by the maker's school. Each figure is in whole minor
 * units, and they add up at every moment: what came, with what its price has risen since, is what was used and what is
 * left.
 *
 * <p>First in, first out: what is taken costs what was paid for the oldest that is left. Moving average: it costs its
 * share of all that was paid for what is there. Replacement: it costs what buying it again costs at that moment; when
 * that changes, what is left is worth more or less, without having been used. What is taken before it was entered is
 * charged at the price of buying, and set right when the goods are entered.
 */
public final class Valuation {

    private final Valuing valuing;
    private final Map<String, Pile> piles = new LinkedHashMap<>();
    private final Map<String, Long> used = new LinkedHashMap<>();
    private final Map<String, Taken> taken = new LinkedHashMap<>();
    private long came;
    private long revalued;

    private Valuation(Valuing valuing) {
        this.valuing = valuing;
    }

    /** The valuation of what happened, in that order. */
    public static Valuation of(Collection<StockEvent> events, Valuing valuing) {
        Valuation valuation = new Valuation(valuing);
        events.forEach(valuation::take);
        return valuation;
    }

    /** What all that came was worth, in minor units; offcuts that were kept count as not used instead. */
    public long came() {
        return came;
    }

    /** By how much what was there became dearer, in minor units; negative if cheaper. Replacement only. */
    public long revalued() {
        return revalued;
    }

    /** What all that left was worth, in minor units. */
    public long used() {
        return used.values().stream().mapToLong(Long::longValue).sum();
    }

    /** What a movement took from the shelf, less the offcuts that were kept of it, in minor units. */
    public long used(String movement) {
        return used.getOrDefault(movement, 0L);
    }

    /** What is left on all piles, in minor units. */
    public long left() {
        return piles.values().stream().mapToLong(Pile::minor).sum();
    }

    /** What is left on a pile, in minor units. */
    public long left(String pile) {
        return piles.containsKey(pile) ? piles.get(pile).minor() : 0;
    }

    /** How much is left on a pile, in the smallest units; negative where more was taken than had been entered. */
    public long quantity(String pile) {
        return piles.containsKey(pile) ? piles.get(pile).quantity() : 0;
    }

    /** What the next amounts taken from a pile are worth. */
    public Worth worth(String pile, Counting counting, UnitPrice beyond) {
        return piles.containsKey(pile)
                ? new Worth(piles.get(pile).layers(counting), beyond)
                : new Worth(List.of(), beyond);
    }

    private void take(StockEvent event) {
        Pile pile = piles.computeIfAbsent(event.pile(), key -> new Pile());
        long before = pile.minor();
        if (event instanceof StockEvent.Repriced repriced) {
            pile.reprice(repriced.perUnit());
            revalued += pile.minor() - before;
        } else if (event instanceof StockEvent.Came arrived) {
            boolean free = arrived.given() && valuing.givenCostsNothing();
            came += pile.add(
                    arrived.quantity(), free ? 0 : arrived.paidMinor(), free ? BigFraction.ZERO : BigFraction.ONE);
        } else if (event instanceof StockEvent.Left left) {
            BigFraction paid = pile.remove(left.id(), left.quantity());
            long worth = before - pile.minor();
            taken.put(left.id(), new Taken(worth, paid));
            used.merge(left.id(), worth, Long::sum);
        } else if (event instanceof StockEvent.Kept kept) {
            keep(kept, pile);
        }
    }

    /** What is kept of a movement's cloth is worth its share of what that was, and all together never more than all of it. */
    private void keep(StockEvent.Kept kept, Pile pile) {
        Taken from = taken.getOrDefault(kept.from(), new Taken(0, BigFraction.ZERO));
        BigFraction wanted = valuing.offcutsArePaid() ? BigFraction.ZERO : kept.share();
        BigFraction share = from.give(wanted);
        BigFraction paid =
                kept.share().signum() == 0 ? BigFraction.ZERO : from.paid.multiply(share.divide(kept.share()));
        long minor = Apportionment.rounded(share.multiply(from.minor));
        used.merge(kept.from(), -pile.add(kept.quantity(), minor, paid), Long::sum);
    }

    /** What a movement took, and what share of it has not been kept since. */
    private static final class Taken {
        private final long minor;
        private final BigFraction paid;
        private BigFraction rest = BigFraction.ONE;

        private Taken(long minor, BigFraction paid) {
            this.minor = minor;
            this.paid = paid;
        }

        /** As much of the wanted share as is left of it. */
        private BigFraction give(BigFraction wanted) {
            BigFraction given = wanted.compareTo(rest) < 0 ? wanted : rest;
            rest = rest.subtract(given);
            return given;
        }
    }

    /**
     * A layer of a pile: so many of the smallest units that cost so much together. Of what was given nothing counts, of what
     * was bought all, and of an offcut of both the part that was bought.
     */
    private static final class Layer {
        private long quantity;
        private long minor;
        private final BigFraction paid;

        private Layer(long quantity, long minor, BigFraction paid) {
            this.quantity = quantity;
            this.minor = minor;
            this.paid = paid;
        }

        private boolean isFree() {
            return paid.signum() == 0;
        }

        private BigFraction paidQuantity() {
            return paid.multiply(quantity);
        }

        /** Takes a part, with its share of the money rounded so that what stays is rounded once. */
        private long take(long part) {
            long stays = Apportionment.share(minor, quantity - part, quantity);
            long taken = minor - stays;
            quantity -= part;
            minor = stays;
            return taken;
        }
    }

    /** What was taken before it had been entered, with what it was charged at. */
    private static final class Owed {
        private final String movement;
        private long quantity;
        private long minor;

        private Owed(String movement, long quantity, long minor) {
            this.movement = movement;
            this.quantity = quantity;
            this.minor = minor;
        }
    }

    private final class Pile {
        private final Deque<Layer> layers = new ArrayDeque<>();
        private final Deque<Owed> owed = new ArrayDeque<>();
        private BigFraction price = BigFraction.ZERO;

        /** What it is worth, once that was worked out; after ten years it is asked for after each of thousands of movements. */
        private OptionalLong known = OptionalLong.empty();

        void reprice(BigFraction perUnit) {
            price = perUnit;
            known = OptionalLong.empty();
        }

        long quantity() {
            return layers.stream().mapToLong(layer -> layer.quantity).sum()
                    - owed.stream().mapToLong(debt -> debt.quantity).sum();
        }

        long minor() {
            if (known.isEmpty()) {
                known = OptionalLong.of(worth());
            }
            return known.getAsLong();
        }

        private long worth() {
            if (valuing.school() == ValueSchool.REPLACEMENT) {
                long paid = -owed.stream().mapToLong(debt -> debt.quantity).sum();
                BigFraction partlyPaid = BigFraction.ZERO;
                for (Layer layer : layers) {
                    if (layer.paid.equals(BigFraction.ONE)) {
                        paid += layer.quantity;
                    } else if (!layer.isFree()) {
                        partlyPaid = partlyPaid.add(layer.paidQuantity());
                    }
                }
                return partlyPaid.signum() == 0
                        ? Apportionment.rounded(price, paid)
                        : Apportionment.rounded(price.multiply(partlyPaid.add(paid)));
            }
            return layers.stream().mapToLong(layer -> layer.minor).sum()
                    - owed.stream().mapToLong(debt -> debt.minor).sum();
        }

        /** Adds what came, first to what is owed; answers what it was worth. */
        long add(long quantity, long minor, BigFraction paid) {
            long before = minor();
            Layer layer = new Layer(quantity, minor, paid);
            long settled = 0;
            while (!owed.isEmpty() && layer.quantity > 0) {
                settled += settle(owed.peekFirst(), layer);
                if (owed.peekFirst().quantity == 0) {
                    owed.removeFirst();
                }
            }
            if (layer.quantity > 0) {
                lay(layer);
            }
            known = OptionalLong.empty();
            return minor() - before + settled;
        }

        /** Pays a debt from a layer; answers what the movement that made it has to bear beyond what it was charged. */
        private long settle(Owed debt, Layer layer) {
            long part = Math.min(debt.quantity, layer.quantity);
            long charged = debt.minor - Apportionment.share(debt.minor, debt.quantity - part, debt.quantity);
            boolean replaced = valuing.school() == ValueSchool.REPLACEMENT;
            long real = layer.take(part);
            long more = replaced && !layer.isFree() ? 0 : real - charged;
            debt.quantity -= part;
            debt.minor -= charged;
            used.merge(debt.movement, more, Long::sum);
            return more;
        }

        private void lay(Layer layer) {
            Layer last = layers.peekLast();
            boolean mixes = switch (valuing.school()) {
                case FIRST_IN_FIRST_OUT -> false;
                case MOVING_AVERAGE -> last != null;
                case REPLACEMENT -> last != null && last.paid.equals(layer.paid);
            };
            if (mixes) {
                last.quantity += layer.quantity;
                last.minor += layer.minor;
            } else {
                layers.addLast(layer);
            }
        }

        /** Takes so much, the oldest first; answers what share of it had been paid for. */
        BigFraction remove(String movement, long quantity) {
            known = OptionalLong.empty();
            long missing = quantity;
            long wholly = 0;
            BigFraction paid = BigFraction.ZERO;
            while (missing > 0 && !layers.isEmpty()) {
                Layer first = layers.peekFirst();
                long part = Math.min(missing, first.quantity);
                first.take(part);
                if (first.paid.equals(BigFraction.ONE)) {
                    wholly += part;
                } else if (!first.isFree()) {
                    paid = paid.add(first.paid.multiply(part));
                }
                missing -= part;
                if (first.quantity == 0) {
                    layers.removeFirst();
                }
            }
            if (missing > 0) {
                owed.addLast(new Owed(movement, missing, Apportionment.rounded(price, missing)));
                wholly += missing;
            }
            return wholly == quantity ? BigFraction.ONE : paid.add(wholly).divide(quantity);
        }

        List<Worth.Layer> layers(Counting counting) {
            return layers.stream()
                    .map(layer -> new Worth.Layer(new Amount(counting, layer.quantity), exact(layer)))
                    .toList();
        }

        private BigFraction exact(Layer layer) {
            if (valuing.school() == ValueSchool.REPLACEMENT) {
                return price.multiply(layer.paidQuantity());
            }
            return BigFraction.of(layer.minor);
        }
    }
}
