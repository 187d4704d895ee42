package mardun.app.shop;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Converter;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.json.JsonColumn;
import mardun.app.shop.OnlineShop.Event;
import mardun.app.shop.OnlineShop.Offer;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.Mutability;
import org.hibernate.type.descriptor.java.Immutability;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;

/** What the simulated shop remembers on its own, whatever becomes of those who ask it. */
@Entity
class SimulatedShop {

    static final int ONLY = 1;

    @Id
    private int id;

    @Lob
    @Mutability(Immutability.class)
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = Stored.class)
    private State state;

    /**
     * How it stands.
     *
     * @param refusals how many more times it refuses because it was asked too often
     * @param tellsTwice it tells everything twice and in another order
     * @param next the number of the next order
     * @param orders by their numbers: what was paid and paid back, and how many bags
     * @param untold events that weren't acknowledged yet
     * @param unpaid orders for which nothing was paid out yet
     */
    record State(
            boolean away,
            int refusals,
            boolean tellsTwice,
            int next,
            Map<String, Offer> offers,
            Map<String, Sold> orders,
            List<Event> untold,
            List<String> unpaid) {

        static State begun() {
            return new State(false, 0, false, 1001, Map.of(), Map.of(), List.of(), List.of());
        }

        State with(Offer offer) {
            Map<String, Offer> all = new LinkedHashMap<>(offers);
            all.put(offer.sku(), offer);
            return new State(away, refusals, tellsTwice, next, all, orders, untold, unpaid);
        }
    }

    /**
     * An order that it sold.
     *
     * @param paidBack what its buyer got back
     */
    record Sold(
            long paidMinor,
            int units,
            boolean cancelled,
            @Nullable List<Refunded> paidBack) {

        /** Orders that were kept before anything could be paid back have no list of it. */
        Sold {
            paidBack = paidBack == null ? List.of() : List.copyOf(paidBack);
        }

        /** A buyer gets money back, once for each id. */
        Sold with(UUID id, long minor) {
            if (paidBack.stream().anyMatch(one -> one.id().equals(id))) {
                return this;
            }
            List<Refunded> all = new ArrayList<>(paidBack);
            all.add(new Refunded(id, minor, false));
            return new Sold(paidMinor, units, cancelled, all);
        }

        /** All of that came off a payout. */
        Sold settled() {
            return new Sold(
                    paidMinor,
                    units,
                    cancelled,
                    paidBack.stream()
                            .map(one -> new Refunded(one.id(), one.minor(), true))
                            .toList());
        }
    }

    /** @param isSettled it came off a payout */
    record Refunded(UUID id, long minor, boolean isSettled) {}

    @Converter
    @Immutable
    static class Stored extends JsonColumn<State> {
        Stored() {
            super(new TypeReference<>() {});
        }
    }

    protected SimulatedShop() {}

    SimulatedShop(State state) {
        this.id = ONLY;
        this.state = state;
    }

    State state() {
        return state;
    }

    void become(State next) {
        state = next;
    }
}
