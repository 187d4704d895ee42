package mardun.app.selling;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mardun.app.id.FairId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.Days;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.selling.FairViews.CheckView;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.selling.FairViews.FairView;
import mardun.app.selling.FairViews.FairsView;
import mardun.app.selling.FairViews.NewCheck;
import mardun.app.selling.FairViews.NewFair;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.core.measure.UnitSystem;
import mardun.core.selling.FairCosts;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The fairs: those that come, pinned to the tape, and those that were. */
@Service
public class FairService {

    private static final int FARTHEST_YEARS = 3;
    private static final int MOST_CHECKS = 100;
    private static final int LONGEST_CHECK = 300;

    /** What is usually asked for or forgotten, where no fair was gone to before. */
    private static final List<String> USUAL_CHECKS = List.of(
            "Insurance paper: ask the organiser whether one is wanted",
            "Local permits and rules for traders: ask the town",
            "Price tickets on every bag",
            "Change, counted",
            "Card reader, charged",
            "Table cloth and clips",
            "Weights for the shelter",
            "Pen, paper and tape",
            "Food and water");

    private final FairRepository repository;
    private final FairCheckRepository checks;
    private final StallEventRepository events;
    private final Fairs fairs;
    private final FairIndex index;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    FairService(
            FairRepository repository,
            FairCheckRepository checks,
            StallEventRepository events,
            Fairs fairs,
            FairIndex index,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.repository = repository;
        this.checks = checks;
        this.events = events;
        this.fairs = fairs;
        this.index = index;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** The fairs from today on to which the maker may go, the next one first. */
    @Transactional(readOnly = true)
    public List<PinnedFair> coming() {
        return repository.coming(LocalDate.now(clock)).stream()
                .filter(fair -> fair.state() != FairState.NOT_GOING)
                .map(fair ->
                        new PinnedFair(fair.id(), fair.name(), fair.heldOn(), fair.endsOn(), Fairs.deadlines(fair)))
                .toList();
    }

    /** The fairs that come, and a page of those that were, the newest first. */
    @Transactional(readOnly = true)
    public FairsView list(String query, int page, int size) {
        Settings current = settings.current();
        LocalDate today = LocalDate.now(clock);
        List<FairId> past = index.past(today, SearchWords.pattern(query));
        return new FairsView(
                fairs.rows(repository.coming(today), current),
                PageView.ofAll(past, page, size, some -> fairs.rowsOf(some, current)));
    }

    /** Enters a fair; what needn't be typed again comes from one that was before. */
    public FairView create(NewFair form) {
        long id = onceOnly.make(form.requestId(), "fair", form, () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), 120);
            LocalDate today = LocalDate.now(clock);
            LocalDate last = Optional.ofNullable(form.endsOn()).orElse(form.heldOn());
            if (!Days.isPossible(form.heldOn()) || form.heldOn().isAfter(today.plusYears(FARTHEST_YEARS))) {
                fields.refuse("heldOn", form.heldOn().toString(), "This is years away. Check the year.");
            } else if (last.isBefore(form.heldOn())) {
                fields.refuse("endsOn", last.toString(), "It ends before it begins. Type a later day.");
            }
            fields.check();
            Optional<Fair> like =
                    form.like() == null ? lastLike(name, form.heldOn()) : Optional.of(fairs.get(form.like()));
            FairForm typed = like.map(fair -> fair.form().again(name, form.heldOn(), form.endsOn()))
                    .orElseGet(() -> FairForm.of(name, form.heldOn(), form.endsOn()));
            FairFacts.read(typed, fields, settings.current());
            fields.check();
            Fair stored = repository.saveAndFlush(new Fair(typed));
            Optional<Fair> checksOf = like.or(repository::findFirstByOrderByIdDesc)
                    .filter(fair -> !fair.id().equals(stored.id()));
            List<String> words = checksOf.map(fair -> checks.findByFairIdOrderById(fair.id()).stream()
                            .map(FairCheck::words)
                            .toList())
                    .filter(some -> !some.isEmpty())
                    .orElse(USUAL_CHECKS);
            words.forEach(one -> checks.save(new FairCheck(stored.id(), one)));
            return stored.id().value();
        });
        return get(new FairId(id));
    }

    /** The last fair of the same series before a day. */
    private Optional<Fair> lastLike(String name, LocalDate before) {
        List<Fair> same = repository.inSeries(List.of(FairForm.seriesOf(name))).stream()
                .filter(fair -> fair.heldOn().isBefore(before))
                .toList();
        return same.isEmpty() ? Optional.empty() : Optional.of(same.get(same.size() - 1));
    }

    @Transactional(readOnly = true)
    public FairView get(FairId id) {
        return view(fairs.get(id));
    }

    /** Saves what was typed of a fair. */
    @Transactional
    public FairView save(FairId id, FairForm form) {
        Fair fair = fairs.forChange(id);
        ChangedMeanwhileException.check("This fair", form.version(), fair.version());
        FieldReader fields = new FieldReader();
        FairFacts.read(form, fields, settings.current());
        boolean isSettled = fair.settled().isPresent();
        if (form.state() == FairState.DONE && !isSettled) {
            fields.refuse("state", form.state().words(), "A fair is settled by counting, under “After”.");
        }
        if (isSettled && form.state() != FairState.DONE) {
            fields.refuse("state", form.state().words(), "This fair is settled. Open its count again first.");
        }
        fields.check();
        fair.enter(form);
        return view(repository.saveAndFlush(fair));
    }

    /** Removes a fair at which nothing happened; one that was is kept. */
    @Transactional
    public void remove(FairId id) {
        Fair fair = fairs.forChange(id);
        if (events.existsByFairId(id) || fair.settled().isPresent()) {
            throw RefusedException.conflict("Things were sold at “" + fair.name()
                    + "”, so it stays in the book. If you don’t go, set it to “" + FairState.NOT_GOING.words() + "”.");
        }
        repository.delete(fair);
    }

    /** Adds something that has to be there. */
    public FairView addCheck(FairId id, NewCheck form) {
        onceOnly.make(form.requestId(), "check of fair " + id, form, () -> {
            fairs.forChange(id);
            FieldReader fields = new FieldReader();
            String words = fields.text("words", form.words(), LONGEST_CHECK);
            if (checks.findByFairIdOrderById(id).size() >= MOST_CHECKS) {
                fields.refuse(
                        "words", form.words(), "These are " + MOST_CHECKS + " things already. Take one off first.");
            }
            fields.check();
            return checks.saveAndFlush(new FairCheck(id, words)).id();
        });
        return get(id);
    }

    @Transactional
    public FairView tick(FairId id, long checkId, boolean done) {
        check(id, checkId).tick(done);
        checks.flush();
        return get(id);
    }

    @Transactional
    public FairView removeCheck(FairId id, long checkId) {
        checks.delete(check(id, checkId));
        checks.flush();
        return get(id);
    }

    private FairCheck check(FairId id, long checkId) {
        return checks.findById(checkId)
                .filter(one -> one.fairId().equals(id))
                .orElseThrow(() -> RefusedException.missing("This isn’t on the list of this fair, or no longer."));
    }

    private FairView view(Fair fair) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        FairFacts facts = Fairs.facts(fair, current);
        List<Fair> series = repository.inSeries(List.of(fair.series()));
        List<FairViews.FairRow> rows = new ArrayList<>(fairs.rows(series, current));
        Collections.reverse(rows);
        String nextTime = series.stream()
                .filter(other -> other.heldOn().isBefore(fair.heldOn()))
                .flatMap(other -> other.settled().stream())
                .map(SettledDocument::nextTime)
                .filter(words -> !words.isBlank())
                .reduce((first, second) -> second)
                .orElse(null);
        return new FairView(
                fair.id(),
                fair.form().at(fair.version()),
                writer.money(costs(facts.costs(), current)),
                writer.time(facts.there()),
                writer.time(facts.onTheWay()),
                checks.findByFairIdOrderById(fair.id()).stream()
                        .map(one -> new CheckView(one.id(), one.words(), one.done()))
                        .toList(),
                rows,
                nextTime,
                current.unitSystem() == UnitSystem.INCH ? "miles" : "km");
    }

    private static Figure<Money> costs(FairCosts costs, Settings current) {
        Working.Builder working = Working.of("What going there costs, whatever is sold.");
        StringBuilder expression = new StringBuilder();
        int number = 0;
        for (FairCosts.Part part : costs.parts()) {
            String symbol = "part" + number++;
            expression
                    .append(expression.isEmpty() ? "{" : " + {")
                    .append(symbol)
                    .append('}');
            working.input(symbol, part.name(), Value.of(part.amount()));
        }
        return new Figure<>(
                costs.together(),
                working.expression(expression.isEmpty() ? "0" : expression.toString())
                        .gives(Value.of(costs.together())));
    }
}
