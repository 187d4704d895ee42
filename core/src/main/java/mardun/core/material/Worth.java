package mardun.core.material;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What the next amounts of a material are worth as they leave the shelf: layer after layer, and beyond them what it
 * costs to buy.
 *
 * @param layers in the order in which they leave
 */
public record Worth(List<Layer> layers, UnitPrice beyond) {

    /**
     * So much of a material at one price.
     *
     * @param minor what the whole layer is worth, in exact minor units
     */
    public record Layer(Amount amount, BigFraction minor) {

        private BigFraction cost(long quantity) {
            return minor.multiply(BigFraction.of(BigInteger.valueOf(quantity), BigInteger.valueOf(amount.value())));
        }
    }

    /**
     * A part of an amount that was taken at one price.
     *
     * @param cost in exact minor units
     * @param isOnTheShelf it is there; else it has yet to be bought
     */
    public record Taken(Amount amount, BigFraction cost, boolean isOnTheShelf) {}

    public Worth {
        layers = List.copyOf(layers);
    }

    /** All of it at one price, whatever is there. */
    public static Worth of(UnitPrice price) {
        return new Worth(List.of(), price);
    }

    /** What {@code amount} is worth, in exact minor units. */
    public BigFraction cost(Amount amount) {
        return taken(amount).stream().map(Taken::cost).reduce(BigFraction.ZERO, BigFraction::add);
    }

    /** The layers that {@code amount} is taken from, and what has to be bought beyond them. */
    public List<Taken> taken(Amount amount) {
        List<Taken> taken = new ArrayList<>();
        long missing = amount.value();
        for (Layer layer : layers) {
            long part = Math.min(missing, layer.amount().value());
            if (part > 0) {
                taken.add(new Taken(new Amount(amount.counting(), part), layer.cost(part), true));
                missing -= part;
            }
        }
        if (missing > 0) {
            Amount rest = new Amount(amount.counting(), missing);
            taken.add(new Taken(rest, beyond.cost(rest), false));
        }
        return List.copyOf(taken);
    }
}
