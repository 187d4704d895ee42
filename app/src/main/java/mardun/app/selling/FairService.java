package mardun.app.selling;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.selling.FairView.NewFair;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The fairs that are pinned to the tape. */
@Service
public class FairService {

    private static final int FARTHEST_YEARS = 3;

    private final FairRepository fairs;
    private final OnceOnly onceOnly;
    private final Clock clock;

    FairService(FairRepository fairs, OnceOnly onceOnly, Clock clock) {
        this.fairs = fairs;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** The fairs from today on, the next one first. */
    @Transactional(readOnly = true)
    public List<FairView> coming() {
        return fairs.findByHeldOnGreaterThanEqualOrderByHeldOnAsc(LocalDate.now(clock)).stream()
                .map(FairService::view)
                .toList();
    }

    public FairView create(NewFair form) {
        long id = onceOnly.make(form.requestId(), "fair", form, () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), 120);
            LocalDate today = LocalDate.now(clock);
            if (form.heldOn().isBefore(today)) {
                fields.refuse("heldOn", form.heldOn().toString(), "This day is past. Choose today or a day to come.");
            } else if (form.heldOn().isAfter(today.plusYears(FARTHEST_YEARS))) {
                fields.refuse("heldOn", form.heldOn().toString(), "This is years away. Check the year.");
            }
            fields.check();
            return fairs.save(new Fair(name, form.heldOn())).id();
        });
        return fairs.findById(id)
                .map(FairService::view)
                .orElseThrow(() -> RefusedException.missing("There is no such fair, or no longer."));
    }

    @Transactional
    public void remove(long id) {
        fairs.deleteById(id);
    }

    private static FairView view(Fair fair) {
        return new FairView(fair.id(), fair.name(), fair.heldOn());
    }
}
