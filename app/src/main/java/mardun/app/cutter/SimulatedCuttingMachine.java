package mardun.app.cutter;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.cutter.CutterViews.CutterAct;
import mardun.app.cutter.CutterViews.CutterView;
import mardun.app.problem.RefusedException;
import mardun.core.nesting.MatSize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * A cutting machine that stands in for a real one: it wants a mat laid in, says when it is cut, is caught in the cloth and goes offline when it is
 * told to, and remembers which mats it has cut whatever becomes of those who sent them.
 */
@Service
class SimulatedCuttingMachine implements CuttingMachine {

    private static final double GAP = 2;
    private static final List<Mat> MATS = List.of(
            new Mat("square", new MatSize(300, 300)),
            new Mat("long", new MatSize(300, 600)),
            new Mat("wide", new MatSize(600, 600)));

    private final SimulatedCutterRepository cutters;
    private final CutMatRepository mats;
    private final Clock clock;

    SimulatedCuttingMachine(SimulatedCutterRepository cutters, CutMatRepository mats, Clock clock) {
        this.cutters = cutters;
        this.mats = mats;
        this.clock = clock;
    }

    @Override
    public List<Mat> mats() {
        return MATS;
    }

    @Override
    public double gap() {
        return GAP;
    }

    @Override
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public Optional<Trouble> cut(MatJob job) {
        SimulatedCutter cutter = held();
        Instant now = clock.instant();
        State state = cutter.state(now);
        if (state.doing() == Doing.OFFLINE) {
            return Optional.of(Trouble.OFFLINE);
        }
        if (mats.existsByJobKey(job.key())) {
            return Optional.empty();
        }
        return switch (state.doing()) {
            case EMPTY -> Optional.of(Trouble.NO_MAT);
            case READY -> {
                cutter.begin(job, now);
                yield Optional.empty();
            }
            case JAMMED -> Optional.of(Trouble.JAM);
            default -> state.key().equals(job.key()) ? Optional.empty() : Optional.of(Trouble.BUSY);
        };
    }

    @Override
    @Transactional(readOnly = true)
    public State state() {
        return cutters.findById(SimulatedCutter.ONE).orElseThrow().state(clock.instant());
    }

    /** The machine as one stands before it. */
    @Transactional(readOnly = true)
    public CutterView view() {
        SimulatedCutter cutter = cutters.findById(SimulatedCutter.ONE).orElseThrow();
        State state = cutter.state(clock.instant());
        return new CutterView(
                state.doing(),
                state.key(),
                state.title(),
                state.done(),
                state.pieces(),
                cutter.jamsNext(),
                switch (state.doing()) {
                    case OFFLINE -> Trouble.OFFLINE.sentence();
                    case JAMMED -> Trouble.JAM.sentence();
                    default -> null;
                });
    }

    @Override
    public double pace() {
        return SimulatedCutter.MILLIMETRES_A_SECOND;
    }

    @Override
    @Transactional(readOnly = true)
    public Set<String> cut(Collection<String> keys) {
        Set<String> cut = mats.findByJobKeyIn(keys).stream().map(CutMat::jobKey).collect(Collectors.toSet());
        State now = state();
        if (now.doing() == Doing.DONE && keys.contains(now.key())) {
            cut.add(now.key());
        }
        return cut;
    }

    /** Somebody does something at the machine. */
    @Transactional
    public void act(CutterAct act) {
        SimulatedCutter cutter = held();
        Instant now = clock.instant();
        State state = cutter.state(now);
        switch (act) {
            case LAY_MAT_IN -> {
                if (cutter.isLoaded()) {
                    throw RefusedException.conflict("There is a mat in the machine. Take it out first.");
                }
                cutter.load();
            }
            case TAKE_MAT_OUT -> {
                if (state.doing() == Doing.CUTTING) {
                    throw RefusedException.conflict(
                            "The blade is moving. Wait until the mat is cut, or switch the machine off first.");
                }
                if (state.doing() == Doing.DONE) {
                    mats.save(new CutMat(state, now));
                }
                cutter.unload();
            }
            case CLEAR_JAM -> {
                if (state.doing() == Doing.JAMMED) {
                    cutter.clear(now);
                }
            }
            case JAM_NEXT -> cutter.letJam();
            case SWITCH_OFF -> cutter.switchTo(true, now);
            case SWITCH_ON -> cutter.switchTo(false, now);
        }
    }

    private SimulatedCutter held() {
        return cutters.findForUse(SimulatedCutter.ONE).orElseThrow();
    }
}
