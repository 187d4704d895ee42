package mardun.app.design;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.costing.UnitCost;
import mardun.core.design.Design;
import mardun.core.making.WorkTime;
import org.springframework.stereotype.Component;

/** What one bag takes, remembered as long as everything that it was worked out from stays the same. */
@Component
class UnitCosts {

    private static final int MOST = 3000;

    private final BatchPlanner planner;
    private final Map<Takes, Given> lately = Collections.synchronizedMap(new LinkedHashMap<>(MOST, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Takes, Given> eldest) {
            return size() > MOST;
        }
    });

    UnitCosts(BatchPlanner planner) {
        this.planner = planner;
    }

    /** All that it depends on. */
    private record Takes(Design design, int size, int units, List<Supply> supplies, Workroom workroom) {}

    /** What one bag takes: its time, its cost where nothing is missing, and what so many take of materials. */
    record Given(WorkTime time, Optional<UnitCost> cost, List<Need> needs) {}

    Given of(Design design, int size, int units, List<Supply> supplies, Workroom workroom) {
        return lately.computeIfAbsent(new Takes(design, size, units, supplies, workroom), takes -> {
            BatchPlan batch =
                    planner.plan(List.of(BatchLine.only(design, size, units, supplies, Optional.empty())), workroom);
            LinePlan plan = batch.lines().get(0);
            return new Given(plan.time(), plan.cost(), batch.needs());
        });
    }
}
