package mardun.core.pricing;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * Something that a channel takes, or that selling through it costs.
 *
 * @param bands of a share: from which amount of a sale on which share is taken of what lies above it; the first from zero
 * @param amount of a fixed fee
 * @param least what a share comes to at least, for each sale
 * @param most what a share comes to at most, for each sale
 * @param likelihood how likely it is to be taken at all, from 0 to 1: an advertisement's share, of the sales that come from it
 * @param cardOnly it is taken of payments by card alone; a price is reckoned as if every buyer paid by card
 */
public record Fee(
        String name,
        Basis basis,
        List<Band> bands,
        Optional<Money> amount,
        Optional<Money> least,
        Optional<Money> most,
        BigDecimal likelihood,
        boolean cardOnly) {

    /** For what it is taken. */
    public enum Basis {
        /** A share of what the buyer pays, with postage and tax. */
        SHARE,
        /** An amount for each sale, however many bags it is. */
        SALE,
        /** An amount for each bag. */
        UNIT
    }

    /**
     * A share of what lies above an amount, up to the next band.
     *
     * @param share from 0 to less than 1
     */
    public record Band(Money from, BigDecimal share) {

        public Band {
            if (share.signum() < 0 || share.compareTo(BigDecimal.ONE) >= 0) {
                throw new IllegalArgumentException("a share is from 0 to less than the whole price: " + share);
            }
        }
    }

    public Fee {
        bands = List.copyOf(bands);
        boolean isShare = basis == Basis.SHARE;
        if (isShare == bands.isEmpty() || isShare == amount.isPresent()) {
            throw new IllegalArgumentException("a fee is a share or an amount: " + bands + ", " + amount);
        }
        if (likelihood.signum() < 0 || likelihood.compareTo(BigDecimal.ONE) > 0) {
            throw new IllegalArgumentException("nothing is likelier than certain: " + likelihood);
        }
        for (int i = 0; i < bands.size(); i++) {
            boolean isInOrder = i == 0
                    ? bands.get(i).from().isZero()
                    : bands.get(i).from().isGreaterThan(bands.get(i - 1).from());
            if (!isInOrder) {
                throw new IllegalArgumentException("bands begin at zero and rise: " + bands);
            }
        }
        if (least.isPresent() && most.isPresent() && least.get().isGreaterThan(most.get())) {
            throw new IllegalArgumentException("at least " + least.get() + " and at most " + most.get());
        }
    }

    /** A fee that is taken however a buyer pays. */
    public Fee(
            String name,
            Basis basis,
            List<Band> bands,
            Optional<Money> amount,
            Optional<Money> least,
            Optional<Money> most,
            BigDecimal likelihood) {
        this(name, basis, bands, amount, least, most, likelihood, false);
    }

    /** A share of every price. */
    public static Fee share(String name, BigDecimal share, Money zero) {
        return new Fee(
                name,
                Basis.SHARE,
                List.of(new Band(zero, share)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                BigDecimal.ONE);
    }

    /** An amount for each sale, or for each bag. */
    public static Fee fixed(String name, Basis basis, Money amount) {
        return new Fee(name, basis, List.of(), Optional.of(amount), Optional.empty(), Optional.empty(), BigDecimal.ONE);
    }

    /**
     * What is taken of one sale, exact.
     *
     * @param paid what the buyer pays for all of it, in minor units
     * @param units how many bags it is
     */
    BigFraction of(BigFraction paid, BigFraction units) {
        BigFraction taken = switch (basis) {
            case SALE -> Exact.minor(amount.orElseThrow());
            case UNIT -> Exact.minor(amount.orElseThrow()).multiply(units);
            case SHARE -> within(banded(paid));
        };
        return taken.multiply(Exact.of(likelihood));
    }

    private BigFraction within(BigFraction share) {
        BigFraction up = least.map(Exact::minor)
                .filter(floor -> floor.compareTo(share) > 0)
                .orElse(share);
        return most.map(Exact::minor).filter(cap -> cap.compareTo(up) < 0).orElse(up);
    }

    private BigFraction banded(BigFraction paid) {
        BigFraction sum = BigFraction.ZERO;
        for (int i = 0; i < bands.size(); i++) {
            BigFraction from = Exact.minor(bands.get(i).from());
            if (paid.compareTo(from) <= 0) {
                break;
            }
            BigFraction to = i + 1 < bands.size() ? Exact.minor(bands.get(i + 1).from()) : paid;
            BigFraction above = (to.compareTo(paid) < 0 ? to : paid).subtract(from);
            sum = sum.add(above.multiply(Exact.of(bands.get(i).share())));
        }
        return sum;
    }

    /** The same where it is taken for certain. */
    Fee whenTaken() {
        return new Fee(name, basis, bands, amount, least, most, BigDecimal.ONE, cardOnly);
    }

    /** At which amounts that a buyer pays it begins to be taken in another way: between them it is a straight line. */
    List<BigFraction> turns() {
        List<BigFraction> turns = new ArrayList<>();
        bands.forEach(band -> turns.add(Exact.minor(band.from())));
        least.map(Exact::minor).flatMap(this::reaches).ifPresent(turns::add);
        most.map(Exact::minor).flatMap(this::reaches).ifPresent(turns::add);
        return turns;
    }

    /** What the buyer pays where the share comes to an amount; empty if it never does. */
    private Optional<BigFraction> reaches(BigFraction amount) {
        for (int i = 0; i < bands.size(); i++) {
            BigFraction from = Exact.minor(bands.get(i).from());
            BigFraction share = Exact.of(bands.get(i).share());
            BigFraction before = banded(from);
            boolean isLast = i + 1 == bands.size();
            if (share.signum() > 0) {
                BigFraction at = from.add(amount.subtract(before).divide(share));
                boolean isHere = at.compareTo(from) >= 0
                        && (isLast || at.compareTo(Exact.minor(bands.get(i + 1).from())) <= 0);
                if (isHere) {
                    return Optional.of(at);
                }
            }
        }
        return Optional.empty();
    }

    /** A share that is the same of every price. */
    boolean isStraight() {
        return bands.size() == 1 && least.isEmpty() && most.isEmpty();
    }

    /** Of the last bit of a very high price the share that it takes. */
    BigFraction shareOfMore() {
        return bands.isEmpty() || most.isPresent()
                ? BigFraction.ZERO
                : Exact.of(bands.get(bands.size() - 1).share()).multiply(Exact.of(likelihood));
    }
}
