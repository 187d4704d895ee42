package mardun.core.caution;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;

/** Usual care at the bench, shown where it applies. It is no advice, and never a statement that a product complies. */
public enum Caution {
    BLADE(
            "Blade",
            "Close it each time you put it down. Cut away from the hand that holds the ruler.",
            Station.CUTTING_TABLE),
    IRON(
            "Iron",
            "Hot plate: mind the hands, keep a mat under the press, and never on vinyl or zip tape.",
            Station.PRESS),
    NEEDLE(
            "Needle",
            "Over the slider and thick seams turn the wheel by hand, and wear eye protection.",
            Station.MACHINE),
    POSTURE("Pause", "Long sessions: good light, a stretch and a break every hour.", Station.WORK_TABLE);

    private final String name;
    private final String text;
    private final Station station;

    Caution(String name, String text, Station station) {
        this.name = name;
        this.text = text;
        this.station = station;
    }

    public String title() {
        return name;
    }

    public String text() {
        return text;
    }

    /** The cautions for the stations that a stage's steps use. */
    public static List<Caution> forStage(Collection<Step> steps, Stage stage) {
        Set<Station> stations = Set.copyOf(steps.stream()
                .filter(step -> step.stage() == stage)
                .map(Step::station)
                .toList());
        return Arrays.stream(values())
                .filter(caution -> stations.contains(caution.station))
                .toList();
    }
}
