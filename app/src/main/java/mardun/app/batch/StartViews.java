package mardun.app.batch;

import java.util.List;
import mardun.app.show.Views.WorkingView;
import org.jspecify.annotations.Nullable;

/** How many bags to begin, as it is shown. */
public final class StartViews {

    private StartViews() {}

    /**
     * How many bags of a line to begin so that enough come out.
     *
     * @param chance how likely enough come out of those that are begun now
     * @param enough the fewest of which enough come out as likely as was asked for; absent where so many are spoiled that none would do
     * @param chances for each number up to that, how likely enough come out
     * @param share of the design's bags that doesn't come out, as far as is known
     * @param bags on how many bags of the design that rests
     * @param lost how many of them didn't come out
     */
    public record StartView(
            int wanted,
            int started,
            String chance,
            @Nullable Integer enough,
            List<ChanceView> chances,
            String share,
            int bags,
            int lost,
            WorkingView working) {}

    /** How likely enough come out of so many. */
    public record ChanceView(int started, String chance) {}
}
