package mardun.app.shop;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.UnaryOperator;
import mardun.app.problem.RefusedException;
import mardun.app.shop.ShopViews.ShopAct;
import mardun.app.shop.ShopViews.SimulatedShopView;
import mardun.app.shop.SimulatedShop.Sold;
import mardun.app.shop.SimulatedShop.State;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The online shop that ships with Mardun: made-up buyers order what is offered. It goes away, refuses who asks too often, tells things twice
 * and in another order, and pays out what it sold less its fees.
 */
@Component
public class SimulatedOnlineShop implements OnlineShop {

    private static final long POSTAGE = 450;
    private static final BigDecimal SHARE = new BigDecimal("0.065");
    private static final BigDecimal PAYMENT = new BigDecimal("0.03");
    private static final long EACH_SALE = 30;
    private static final long EACH_BAG = 35;
    private static final int REFUSALS = 3;

    private static final List<Buyer> BUYERS = List.of(
            new Buyer("Ilse Marrow", "ilse@post.invalid", List.of("Ilse Marrow", "4 Tollgate Row", "Saltby")),
            new Buyer("Teodor Çelik", "teodor@post.invalid", List.of("Teodor Çelik", "19 Fern Street", "Upper Dell")),
            new Buyer("Wren Abara", "wren@post.invalid", List.of("Wren Abara", "Harbour House 2", "Kettle Bay")),
            new Buyer("Jonna Pryce", "jonna@post.invalid", List.of("Jonna Pryce", "7 Chandlers Yard", "Saltby")));

    private final SimulatedShopRepository repository;
    private final TransactionTemplate alone;
    private final Clock clock;
    private final List<Runnable> bells = new CopyOnWriteArrayList<>();

    SimulatedOnlineShop(SimulatedShopRepository repository, PlatformTransactionManager transactions, Clock clock) {
        this.repository = repository;
        this.alone = new TransactionTemplate(transactions);
        this.alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /** What it remembers has a transaction of its own: it is another machine. */
    private State changed(UnaryOperator<State> change) {
        return alone.execute(status -> {
            SimulatedShop shop = repository.held().orElseGet(() -> new SimulatedShop(State.begun()));
            State next = change.apply(shop.state());
            if (next.equals(shop.state())) {
                return next;
            }
            shop.become(next);
            return repository.saveAndFlush(shop).state();
        });
    }

    private State asked() throws Trouble {
        State now = changed(state -> new State(
                state.away(),
                Math.max(0, state.refusals() - 1),
                state.tellsTwice(),
                state.next(),
                state.offers(),
                state.orders(),
                state.untold(),
                state.unpaid()));
        if (now.away()) {
            throw new Trouble("The online shop doesn’t answer. It is looked at again by itself.");
        }
        if (now.refusals() > 0) {
            throw new Trouble("The online shop was asked too often and wants to be left alone for a while.");
        }
        return now;
    }

    @Override
    public List<Event> events() throws Trouble {
        State state = asked();
        if (!state.tellsTwice()) {
            return state.untold();
        }
        List<Event> twice = new ArrayList<>(state.untold());
        Collections.reverse(twice);
        twice.addAll(state.untold());
        return twice;
    }

    @Override
    public void acknowledge(Collection<UUID> events) throws Trouble {
        asked();
        Set<UUID> known = new HashSet<>(events);
        changed(state -> with(
                state,
                state.next(),
                state.orders(),
                state.untold().stream()
                        .filter(event -> !known.contains(event.id()))
                        .toList(),
                state.unpaid()));
    }

    @Override
    public void offer(Offer offer) throws Trouble {
        asked();
        changed(state -> state.with(offer));
    }

    @Override
    public void payBack(PaidBack refund) throws Trouble {
        asked();
        changed(state -> {
            Sold sold = state.orders().get(refund.order());
            // For a cancelled order its buyer has everything back already.
            if (sold == null || sold.cancelled()) {
                return state;
            }
            Map<String, Sold> orders = new LinkedHashMap<>(state.orders());
            orders.put(refund.order(), sold.with(refund.id(), refund.minor()));
            return with(state, state.next(), orders, state.untold(), state.unpaid());
        });
    }

    private static State with(
            State state, int next, Map<String, Sold> orders, List<Event> untold, List<String> unpaid) {
        return new State(
                state.away(), state.refusals(), state.tellsTwice(), next, state.offers(), orders, untold, unpaid);
    }

    /** Does something to it, as one who stands before it. */
    public SimulatedShopView act(ShopAct act) {
        SimulatedShopView view = view(changed(state -> switch (act) {
            case ORDER -> ordered(state);
            case CANCEL_LAST -> told(state, EventKind.CANCELLED, "changed my mind");
            case WANT_LAST_BACK -> told(state, EventKind.RETURN_WANTED, wantsBack(state));
            case PAY_OUT -> paidOut(state, 0);
            case PAY_OUT_WRONG -> paidOut(state, 1);
            case GO_AWAY -> standing(state, true, 0, state.tellsTwice());
            case COME_BACK -> standing(state, false, 0, state.tellsTwice());
            case ASK_TOO_OFTEN -> standing(state, state.away(), REFUSALS, state.tellsTwice());
            case TELL_TWICE -> standing(state, state.away(), state.refusals(), true);
            case TELL_ONCE -> standing(state, state.away(), state.refusals(), false);
        }));
        if (view.untold() > 0 && !view.away()) {
            bells.forEach(Runnable::run);
        }
        return view;
    }

    @Override
    public void whenNews(Runnable bell) {
        bells.add(bell);
    }

    public SimulatedShopView view() {
        return view(changed(state -> state));
    }

    private static SimulatedShopView view(State state) {
        return new SimulatedShopView(
                state.away(),
                state.tellsTwice(),
                state.untold().size(),
                state.orders().size(),
                state.offers().values().stream()
                        .map(offer -> offer.title() + ", " + offer.units() + " left")
                        .toList());
    }

    private static State standing(State state, boolean away, int refusals, boolean twice) {
        return new State(
                away, refusals, twice, state.next(), state.offers(), state.orders(), state.untold(), state.unpaid());
    }

    /** A made-up buyer takes one or two of what is offered; one in five takes something else besides. */
    private State ordered(State state) {
        List<Offer> there = state.offers().values().stream()
                .filter(offer -> offer.units() > 0)
                .toList();
        if (there.isEmpty()) {
            throw RefusedException.conflict("Nothing is offered in the shop of which any are left.");
        }
        int turn = state.next();
        Offer offer = there.get(turn % there.size());
        int units = turn % 3 == 0 && offer.units() > 1 ? 2 : 1;
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(offer.sku(), units, offer.priceMinor()));
        if (turn % 5 == 0 && there.size() > 1) {
            Offer besides = there.get((turn + 1) % there.size());
            lines.add(new Line(besides.sku(), 1, besides.priceMinor()));
        }
        String number = "S-" + turn;
        Ordered placed = new Ordered(clock.instant(), BUYERS.get(turn % BUYERS.size()), lines, POSTAGE);
        Map<String, Sold> orders = new LinkedHashMap<>(state.orders());
        orders.put(
                number,
                new Sold(
                        POSTAGE
                                + lines.stream()
                                        .mapToLong(line -> line.priceMinor() * line.units())
                                        .sum(),
                        lines.stream().mapToInt(Line::units).sum(),
                        false,
                        List.of()));
        List<Event> untold = new ArrayList<>(state.untold());
        untold.add(new Event(UUID.randomUUID(), EventKind.ORDERED, number, placed, null, ""));
        List<String> unpaid = new ArrayList<>(state.unpaid());
        unpaid.add(number);
        State sold = with(state, turn + 1, orders, untold, unpaid);
        for (Line line : lines) {
            Offer its = sold.offers().get(line.sku());
            sold = sold.with(new Offer(its.sku(), its.title(), its.priceMinor(), its.units() - line.units()));
        }
        return sold;
    }

    private static String wantsBack(State state) {
        Sold last = state.orders().get(last(state));
        return last != null && last.units() > 1
                ? "one of the " + last.units() + " is smaller than I thought"
                : "smaller than I thought";
    }

    private static String last(State state) {
        return state.orders().keySet().stream().reduce("", (before, number) -> number);
    }

    private static State told(State state, EventKind kind, String reason) {
        String last = last(state);
        Sold sold = state.orders().get(last);
        if (sold == null) {
            throw RefusedException.conflict("Nobody has ordered anything yet.");
        }
        List<Event> untold = new ArrayList<>(state.untold());
        untold.add(new Event(UUID.randomUUID(), kind, last, null, null, reason));
        Map<String, Sold> orders = new LinkedHashMap<>(state.orders());
        List<String> unpaid = new ArrayList<>(state.unpaid());
        if (kind == EventKind.CANCELLED) {
            // What was paid out for it already comes off the next payout.
            boolean isOwed = !unpaid.remove(last) && !sold.cancelled() && open(sold) > 0;
            Sold cancelled = new Sold(sold.paidMinor(), sold.units(), true, sold.paidBack());
            orders.put(last, isOwed ? cancelled.with(UUID.randomUUID(), open(sold)) : cancelled);
        }
        return with(state, state.next(), orders, untold, unpaid);
    }

    private State paidOut(State state, long wrong) {
        List<PaidLine> lines = new ArrayList<>();
        for (String number : state.unpaid()) {
            Sold sold = state.orders().get(number);
            lines.add(new PaidLine(number, sold.paidMinor(), fee(sold) + (lines.isEmpty() ? wrong * 40 : 0)));
        }
        Map<String, Sold> orders = new LinkedHashMap<>();
        state.orders().forEach((number, sold) -> {
            sold.paidBack().stream()
                    .filter(one -> !one.isSettled())
                    .forEach(one -> lines.add(new PaidLine(number, -one.minor(), -shares(one.minor()))));
            orders.put(number, sold.settled());
        });
        long total = lines.stream()
                .mapToLong(line -> line.paidMinor() - line.feeMinor())
                .sum();
        if (total <= 0) {
            throw RefusedException.conflict(
                    lines.isEmpty()
                            ? "There is nothing to pay out."
                            : "Buyers got back more than was sold since the last payout: it waits until more is sold.");
        }
        String name = "P-" + LocalDate.now(clock) + "-" + state.next();
        List<Event> untold = new ArrayList<>(state.untold());
        untold.add(new Event(
                UUID.randomUUID(), EventKind.PAID_OUT, "", null, new PaidOut(name, clock.instant(), lines, total), ""));
        return with(state, state.next() + 1, orders, untold, List.of());
    }

    private static long fee(Sold sold) {
        return shares(sold.paidMinor()) + EACH_SALE + EACH_BAG * sold.units();
    }

    /** What it takes by the amount, and gives back where that is paid back. */
    private static long shares(long minor) {
        return share(minor, SHARE) + share(minor, PAYMENT);
    }

    private static long open(Sold sold) {
        return sold.paidMinor()
                - sold.paidBack().stream()
                        .mapToLong(SimulatedShop.Refunded::minor)
                        .sum();
    }

    private static long share(long minor, BigDecimal share) {
        return BigDecimal.valueOf(minor)
                .multiply(share)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact();
    }
}
