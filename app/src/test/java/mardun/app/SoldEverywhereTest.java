package mardun.app;

import static mardun.app.AtTheStall.kind;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLot;
import mardun.app.goods.GoodsMoving;
import mardun.app.goods.GoodsViews.GoodsForm;
import mardun.app.id.FairId;
import mardun.app.problem.RefusedException;
import mardun.app.sale.SalesBook;
import mardun.app.selling.StallEntry;
import mardun.app.selling.StallEntry.Bags;
import mardun.app.selling.StallEventKind;
import mardun.app.selling.StallService;
import mardun.app.selling.StallViews.AnswerForm;
import mardun.app.selling.StallViews.Answered;
import mardun.app.selling.StallViews.StallQuestion;
import mardun.app.selling.StallViews.StallTelling;
import mardun.app.selling.StallViews.StallView;
import mardun.app.selling.StallViews.TileView;
import mardun.app.shop.ShopDesk;
import mardun.app.shop.ShopReading;
import mardun.app.shop.ShopViews.OnlineShopView;
import mardun.app.shop.ShopViews.ShopAct;
import mardun.app.shop.ShopViews.ShopOrderView;
import mardun.app.shop.SimulatedOnlineShop;
import mardun.core.selling.Tender;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Two devices at a stall that are heard now and then, an online shop that tells late, twice and backwards, and a maker who packs, counts,
 * posts and answers: whoever is heard first, the books stand as a simple reference has them.
 */
class SoldEverywhereTest {

    /** How many evenings are played; each is another interleaving, and other ones with another {@code mardun.seed}. */
    private static final int EVENINGS = Integer.getInteger("mardun.interleavings", 100);

    private static final int STEPS = 14;
    private static final String HOME = "home";
    private static final String ASIDE = "online orders";

    @RegisterExtension
    static final RunningApp APP = new RunningApp("--mardun.shop.seconds=0");

    private static final AtTheStall AT = new AtTheStall(APP);
    private static final List<String> KINDS =
            List.of(kind("Egret pouch", "small"), kind("Ibis tote", "large"), kind("Stilt purse", "one"));

    @BeforeAll
    static void aShopAndItsBags() throws InterruptedException {
        APP.put("/api/settings", APP.settings("METRIC"));
        AT.bags(
                "Egret pouch,small,3,5.00,16.00,home",
                "Ibis tote,large,3,9.00,30.00,home",
                "Stilt purse,one,3,2.00,9.00,home");
        Map<String, Object> link = new HashMap<>();
        link.put("connected", true);
        assertThat(APP.put("/api/online-shop", link).status()).isEqualTo(200);
        KINDS.forEach(kind -> assertThat(
                        APP.put("/api/online-shop/listings", Map.of("kind", kind, "price", "16", "offered", true))
                                .status())
                .isEqualTo(200));
    }

    /** What a device keeps until it is heard. */
    private static final class Device {
        private final UUID id = UUID.randomUUID();
        private final List<StallEntry> touched = new ArrayList<>();
        private int heard;
    }

    /** Bags that left a stall with an entry, and those of them that weren't there. */
    private record Left(StallEntry entry, Map<String, Integer> found, Map<String, Integer> missing) {}

    /** An order as the desk knows it. */
    private static final class Order {
        private Map<String, Integer> wants = Map.of();
        private final Map<String, Integer> aside = new LinkedHashMap<>();
        private boolean placed;
        private String state = "SHORT";
    }

    /** What the shop has told: an order of something, or that one is cancelled. */
    private record Told(UUID id, String order, Map<String, Integer> wants) {}

    /** The reference: what there is, as one who sees everything would write it on a sheet of paper. */
    private static final class Paper {
        private final Map<String, Map<String, Integer>> places = new HashMap<>();
        private final Map<UUID, Left> left = new LinkedHashMap<>();
        private final Map<UUID, StallEntry> promises = new LinkedHashMap<>();
        private final Map<UUID, StallEntry> heard = new LinkedHashMap<>();
        private final Map<String, Order> orders = new LinkedHashMap<>();
        private final List<Told> untold = new ArrayList<>();
        private final List<UUID> taken = new ArrayList<>();
        private final Map<String, Integer> offers = new LinkedHashMap<>();
        private String stall = "";
        private boolean away;
        private boolean twice;
        private int refusals;
        private long cash;
        private long card;
        private int sales;

        int at(String place, String kind) {
            return places.computeIfAbsent(place, its -> new HashMap<>()).getOrDefault(kind, 0);
        }

        void move(String place, String kind, int change) {
            places.computeIfAbsent(place, its -> new HashMap<>()).merge(kind, change, Integer::sum);
            assertThat(at(place, kind)).as(kind + " at " + place).isNotNegative();
        }

        /** A fair begins: nothing is told of it yet. */
        void fair(String place) {
            stall = place;
            left.clear();
            promises.clear();
            heard.clear();
            cash = 0;
            card = 0;
            sales = 0;
        }

        void hear(StallEntry entry) {
            if (heard.putIfAbsent(entry.id(), entry) != null) {
                return;
            }
            switch (entry.kind()) {
                case SOLD -> {
                    leave(entry);
                    pay(entry, 1);
                    promises.remove(entry.ofEntry());
                }
                case GIVEN_AWAY, BROKEN, STOLEN -> leave(entry);
                case PROMISED -> promises.put(entry.id(), entry);
                case RELEASED -> promises.remove(entry.ofEntry());
                case UNDONE -> undo(entry.ofEntry());
            }
        }

        private void pay(StallEntry entry, int times) {
            long paid = times * entry.paidMinor();
            cash += entry.tender() == Tender.CASH ? paid : 0;
            card += entry.tender() == Tender.CARD ? paid : 0;
            sales += times;
        }

        private void leave(StallEntry entry) {
            Left its = new Left(entry, new LinkedHashMap<>(), new LinkedHashMap<>());
            for (Bags bags : entry.bags()) {
                int found = Math.min(bags.units(), at(stall, bags.kind()));
                move(stall, bags.kind(), -found);
                its.found().merge(bags.kind(), found, Integer::sum);
                its.missing().merge(bags.kind(), bags.units() - found, Integer::sum);
            }
            left.put(entry.id(), its);
        }

        private void undo(UUID id) {
            Left its = left.remove(id);
            if (its == null) {
                promises.remove(id);
                return;
            }
            its.found().forEach((kind, units) -> move(stall, kind, units));
            if (its.entry().kind() == StallEventKind.SOLD) {
                pay(its.entry(), -1);
                StallEntry promise = its.entry().ofEntry() == null
                        ? null
                        : heard.get(its.entry().ofEntry());
                if (promise != null) {
                    promises.put(promise.id(), promise);
                }
            }
        }

        /** One call of the shop: whether it does what it is asked. */
        private boolean asked() {
            refusals = Math.max(0, refusals - 1);
            return !away && refusals == 0;
        }

        void look() {
            if (!asked()) {
                return;
            }
            List<Told> said = new ArrayList<>();
            if (twice) {
                said.addAll(untold);
                Collections.reverse(said);
            }
            said.addAll(untold);
            said.stream().filter(told -> !taken.contains(told.id())).forEach(this::take);
            if (!said.isEmpty()) {
                if (!asked()) {
                    return;
                }
                untold.clear();
            }
            orders.values().stream()
                    .filter(order -> order.placed && order.state.equals("SHORT"))
                    .forEach(this::reserve);
            for (String kind : KINDS) {
                if (offers.getOrDefault(kind, -1) != at(HOME, kind)) {
                    if (!asked()) {
                        return;
                    }
                    offers.put(kind, at(HOME, kind));
                }
            }
        }

        private void take(Told told) {
            if (taken.contains(told.id())) {
                return;
            }
            taken.add(told.id());
            Order order = orders.computeIfAbsent(told.order(), number -> new Order());
            if (!told.wants().isEmpty()) {
                order.placed = true;
                order.wants = told.wants();
                if (!order.state.equals("CANCELLED")) {
                    reserve(order);
                }
            } else if (order.state.equals("SHORT") || order.state.equals("RESERVED")) {
                order.aside.forEach((kind, units) -> {
                    move(ASIDE, kind, -units);
                    move(HOME, kind, units);
                });
                order.aside.clear();
                order.state = "CANCELLED";
            }
        }

        private void reserve(Order order) {
            order.wants.forEach((kind, units) -> {
                int some = Math.min(units - order.aside.getOrDefault(kind, 0), at(HOME, kind));
                move(HOME, kind, -some);
                move(ASIDE, kind, some);
                order.aside.merge(kind, some, Integer::sum);
            });
            order.state = order.aside.equals(order.wants) ? "RESERVED" : "SHORT";
        }
    }

    /** One run over all evenings: the application on one side, the reference on the other. */
    private static final class Season {
        private final Random random;
        private final Paper paper = new Paper();
        private final StallService stall = APP.part(StallService.class);
        private final ShopDesk desk = APP.part(ShopDesk.class);
        private final ShopReading reading = APP.part(ShopReading.class);
        private final SimulatedOnlineShop shop = APP.part(SimulatedOnlineShop.class);
        private final GoodsMoving moving = APP.part(GoodsMoving.class);
        private final GoodsLedger ledger = APP.part(GoodsLedger.class);
        private final SalesBook book = APP.part(SalesBook.class);
        private FairId fair = new FairId(0);
        private List<Device> devices = List.of();

        Season(long seed) {
            random = new Random(seed);
            KINDS.forEach(kind -> paper.move(HOME, kind, 3));
            KINDS.forEach(kind -> paper.offers.put(kind, 3));
        }

        void evening(int number) {
            paper.fair("stall " + number);
            fair = new FairId(AT.fair("Evening " + number, LocalDate.now()));
            AT.type(fair.value(), Map.of("stallPlace", paper.stall));
            devices = List.of(new Device(), new Device());
            // What waits is posted now and then, so that it doesn't pile up over a thousand evenings.
            boolean isOpen = number % 5 == 0;
            while (isOpen) {
                isOpen = post();
            }
            for (String kind : KINDS) {
                if (paper.at(HOME, kind) < 3) {
                    count(HOME, kind, 3 + random.nextInt(4));
                }
                count(paper.stall, kind, random.nextInt(4));
            }
            for (int step = 0; step < STEPS; step++) {
                step();
            }
            devices.forEach(device -> send(device, device.touched.size()));
            check("evening " + number);
        }

        private void step() {
            switch (random.nextInt(14)) {
                case 0, 1, 2, 3 -> touch(devices.get(random.nextInt(2)));
                case 4, 5 -> send(devices.get(random.nextInt(2)), random.nextInt(4));
                case 6, 7 -> buyOnline();
                case 8 -> cancelOnline();
                case 9 -> trouble();
                case 10 -> look();
                case 11 -> post();
                case 12 -> pack();
                default -> answer();
            }
        }

        private String anyKind() {
            return KINDS.get(random.nextInt(KINDS.size()));
        }

        private void touch(Device device) {
            List<StallEntry> before = device.touched;
            switch (random.nextInt(10)) {
                case 0 -> before.add(entry(pick(List.of("GIVEN_AWAY", "BROKEN", "STOLEN")), bags(), null));
                case 1 -> before.add(entry("PROMISED", bags().subList(0, 1), null));
                case 2, 3 ->
                    before.stream()
                            .filter(one -> one.kind() != StallEventKind.UNDONE && one.kind() != StallEventKind.RELEASED)
                            .skip(random.nextInt(before.size() + 1))
                            .findFirst()
                            .filter(one ->
                                    before.stream().noneMatch(other -> one.id().equals(other.ofEntry())))
                            .ifPresent(one -> before.add(entry("UNDONE", List.of(), one.id())));
                case 4, 5 ->
                    openPromise(before)
                            .ifPresent(one -> before.add(
                                    random.nextBoolean()
                                            ? entry("RELEASED", List.of(), one.id())
                                            : entry("SOLD", one.bags(), one.id())));
                default -> before.add(entry("SOLD", bags(), null));
            }
        }

        private static Optional<StallEntry> openPromise(List<StallEntry> before) {
            return before.stream()
                    .filter(one -> one.kind() == StallEventKind.PROMISED)
                    .filter(one -> before.stream().noneMatch(other -> one.id().equals(other.ofEntry())))
                    .findFirst();
        }

        private <T> T pick(List<T> some) {
            return some.get(random.nextInt(some.size()));
        }

        /** Of one kind, or a set of two. */
        private List<Bags> bags() {
            int first = random.nextInt(KINDS.size());
            Bags one = new Bags(KINDS.get(first), 1 + random.nextInt(2), 1600);
            return random.nextInt(4) > 0
                    ? List.of(one)
                    : List.of(one, new Bags(KINDS.get((first + 1) % KINDS.size()), 1, 900));
        }

        private StallEntry entry(String what, List<Bags> bags, UUID of) {
            boolean isSale = what.equals("SOLD");
            return new StallEntry(
                    UUID.randomUUID(),
                    StallEventKind.valueOf(what),
                    Instant.now(),
                    bags,
                    isSale ? random.nextInt(3) == 0 ? Tender.CARD : Tender.CASH : null,
                    isSale ? 100L + random.nextInt(4000) : null,
                    of,
                    "",
                    "");
        }

        /** A device is heard: some of what it has touched, and some of what was heard before once more. */
        private void send(Device device, int more) {
            int from = Math.max(0, device.heard - random.nextInt(3));
            int to = Math.min(device.touched.size(), device.heard + more);
            List<StallEntry> said = List.copyOf(device.touched.subList(from, to));
            stall.tell(fair, new StallTelling(device.id, said));
            said.forEach(paper::hear);
            device.heard = to;
        }

        private Map<String, Integer> offered() {
            Map<String, Integer> offered = new LinkedHashMap<>();
            shop.view().offers().forEach(line -> {
                String title = line.substring(0, line.lastIndexOf(", "));
                String kind = KINDS.stream()
                        .filter(key -> title.startsWith(key.substring(1, key.indexOf('”'))))
                        .findFirst()
                        .orElseThrow();
                offered.put(kind, Integer.parseInt(line.replaceAll(".*, (\\d+) left$", "$1")));
            });
            return offered;
        }

        private void buyOnline() {
            Map<String, Integer> before = offered();
            int orders = shop.view().orders();
            try {
                shop.act(ShopAct.ORDER);
            } catch (RefusedException soldOut) {
                assertThat(before.values()).allMatch(units -> units == 0);
                return;
            }
            Map<String, Integer> wants = new LinkedHashMap<>();
            offered().forEach((kind, units) -> {
                paper.offers.put(kind, units);
                if (units < before.get(kind)) {
                    wants.put(kind, before.get(kind) - units);
                }
            });
            paper.untold.add(new Told(UUID.randomUUID(), "S-" + (1001 + orders), wants));
        }

        private void cancelOnline() {
            try {
                shop.act(ShopAct.CANCEL_LAST);
                String last = "S-" + (1000 + shop.view().orders());
                paper.untold.add(new Told(UUID.randomUUID(), last, Map.of()));
            } catch (RefusedException nobodyOrdered) {
                assertThat(shop.view().orders()).isZero();
            }
        }

        private void trouble() {
            ShopAct act = pick(List.of(
                    ShopAct.GO_AWAY, ShopAct.COME_BACK, ShopAct.TELL_TWICE, ShopAct.TELL_ONCE, ShopAct.ASK_TOO_OFTEN));
            shop.act(act);
            switch (act) {
                case GO_AWAY, COME_BACK -> {
                    paper.away = act == ShopAct.GO_AWAY;
                    paper.refusals = 0;
                }
                case TELL_TWICE, TELL_ONCE -> paper.twice = act == ShopAct.TELL_TWICE;
                default -> paper.refusals = 3;
            }
        }

        private void look() {
            desk.look();
            paper.look();
        }

        /** Posts the order that waits longest of those that can be; whether there was one. */
        private boolean post() {
            Optional<ShopOrderView> ready = reading.shop().open().stream()
                    .filter(order -> order.state().name().equals("RESERVED"))
                    .findFirst();
            ready.ifPresent(order -> {
                desk.post(order.id(), order.version());
                Order its = paper.orders.get(order.number());
                its.aside.forEach((kind, units) -> paper.move(ASIDE, kind, -units));
                its.aside.clear();
                its.state = "POSTED";
            });
            return ready.isPresent();
        }

        /** Bags go from home to the stall, or back. */
        private void pack() {
            String kind = anyKind();
            boolean goes = random.nextInt(3) > 0;
            String from = goes ? HOME : paper.stall;
            String to = goes ? paper.stall : HOME;
            int units = 1 + random.nextInt(2);
            try {
                moving.move(lot(kind).id(), form(GoodsKind.MOVED, from, to, units));
                paper.move(from, kind, -units);
                paper.move(to, kind, units);
            } catch (RuntimeException refused) {
                assertThat(paper.at(from, kind)).as(refused.getMessage()).isLessThan(units);
            }
        }

        private void count(String place, String kind, int units) {
            int before = paper.at(place, kind);
            if (before != units) {
                moving.move(lot(kind).id(), form(GoodsKind.COUNTED, place, null, units));
                paper.move(place, kind, units - before);
            }
        }

        private static GoodsForm form(GoodsKind kind, String place, String to, int units) {
            return new GoodsForm(UUID.randomUUID(), kind, place, to, Integer.toString(units), "as it is");
        }

        private GoodsLot lot(String kind) {
            return ledger.ofKindsLeft(List.of(kind)).get(kind).get(0);
        }

        /** The maker says how it was with a bag that the book didn't have. */
        private void answer() {
            List<StallQuestion> questions = stall.stall(fair).questions();
            if (questions.isEmpty()) {
                return;
            }
            StallQuestion asked = questions.get(0);
            Left its = paper.left.values().stream()
                    .filter(one -> one.entry().kind() == StallEventKind.SOLD
                            && one.missing().getOrDefault(asked.kind(), 0) == asked.units())
                    .findFirst()
                    .orElseThrow();
            Answered answer = pick(List.of(Answered.values()));
            String other =
                    asked.others().isEmpty() ? null : asked.others().get(0).kind();
            if (answer == Answered.OTHER_BAG && other == null) {
                return;
            }
            stall.answer(fair, new AnswerForm(asked.line(), answer, answer == Answered.OTHER_BAG ? other : null));
            switch (answer) {
                case NOT_SOLD -> paper.undo(its.entry().id());
                case ONE_MORE -> {
                    // What came since is taken first; only what is still missing was there beyond the book.
                    int found = Math.min(asked.units(), paper.at(paper.stall, asked.kind()));
                    paper.move(paper.stall, asked.kind(), -found);
                    its.found().merge(asked.kind(), asked.units(), Integer::sum);
                    its.missing().remove(asked.kind());
                }
                case OTHER_BAG -> {
                    paper.move(paper.stall, other, -asked.units());
                    its.found().merge(other, asked.units(), Integer::sum);
                    its.missing().remove(asked.kind());
                }
            }
        }

        private void check(String when) {
            StallView view = stall.stall(fair);
            assertThat(view.takings().cash().minor()).as(when).isEqualTo(paper.cash);
            assertThat(view.takings().card().minor()).as(when).isEqualTo(paper.card);
            assertThat(view.takings().sales()).as(when).isEqualTo(paper.sales);
            Map<String, TileView> tiles = new HashMap<>();
            view.tiles().forEach(tile -> tiles.put(tile.bag().key(), tile));
            Map<String, Integer> booked = new HashMap<>();
            book.lines(LocalDate.now().minusDays(1), LocalDate.now().plusDays(2)).stream()
                    .filter(line -> line.fair().filter(fair::equals).isPresent())
                    .forEach(line -> booked.merge(line.kind(), line.bags().bags(), Integer::sum));
            for (String kind : KINDS) {
                String what = when + ", " + kind;
                assertThat(booked.getOrDefault(kind, 0))
                        .as(what + " in the book")
                        .isEqualTo(sold(kind));
                Map<String, Integer> at = lot(kind).at();
                for (String place : List.of(HOME, ASIDE, paper.stall)) {
                    assertThat(at.getOrDefault(place, 0))
                            .as(what + " at " + place)
                            .isEqualTo(paper.at(place, kind));
                }
                int promised = units(paper.promises.values().stream().toList(), kind);
                TileView tile = tiles.get(kind);
                if (tile == null) {
                    assertThat(paper.at(paper.stall, kind)).as(what).isZero();
                    continue;
                }
                assertThat(tile.promised()).as(what).isEqualTo(promised);
                assertThat(tile.left()).as(what).isEqualTo(Math.max(0, paper.at(paper.stall, kind) - promised));
                assertThat(tile.sold()).as(what).isEqualTo(sold(kind));
            }
            assertThat(view.questions().stream().mapToInt(StallQuestion::units).sum())
                    .as(when + ", questions")
                    .isEqualTo(paper.left.values().stream()
                            .filter(one -> one.entry().kind() == StallEventKind.SOLD)
                            .flatMap(one -> one.missing().values().stream())
                            .mapToInt(Integer::intValue)
                            .sum());
            orders(when);
            assertThat(offered()).as(when + ", offered").isEqualTo(paper.offers);
        }

        private int sold(String kind) {
            return paper.left.values().stream()
                    .filter(one -> one.entry().kind() == StallEventKind.SOLD)
                    .mapToInt(one ->
                            one.found().getOrDefault(kind, 0) + one.missing().getOrDefault(kind, 0))
                    .sum();
        }

        private static int units(List<StallEntry> entries, String kind) {
            return entries.stream()
                    .flatMap(one -> one.bags().stream())
                    .filter(bags -> bags.kind().equals(kind))
                    .mapToInt(Bags::units)
                    .sum();
        }

        private void orders(String when) {
            OnlineShopView view = reading.shop();
            Map<String, Integer> missing = new HashMap<>();
            Map<String, String> states = new HashMap<>();
            for (ShopOrderView order : view.open()) {
                states.put(order.number(), order.state().name());
                missing.put(
                        order.number(),
                        order.lines().stream().mapToInt(line -> line.missing()).sum());
            }
            paper.orders.forEach((number, order) -> {
                boolean isOpen = order.state.equals("SHORT") || order.state.equals("RESERVED");
                assertThat(states.get(number)).as(when + ", order " + number).isEqualTo(isOpen ? order.state : null);
                if (isOpen) {
                    int wants = order.wants.values().stream()
                            .mapToInt(Integer::intValue)
                            .sum();
                    int aside = order.aside.values().stream()
                            .mapToInt(Integer::intValue)
                            .sum();
                    assertThat(missing.get(number))
                            .as(when + ", missing of " + number)
                            .isEqualTo(wants - aside);
                }
            });
        }
    }

    @Test
    void whoeverIsHeardFirstTheBooksStandAsOnPaper() {
        Season season = new Season(Long.getLong("mardun.seed", 1616));
        for (int evening = 0; evening < EVENINGS; evening++) {
            season.evening(evening);
        }
        AT.placesAddUp();
    }
}
