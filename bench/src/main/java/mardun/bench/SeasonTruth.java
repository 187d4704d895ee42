package mardun.bench;

import mardun.core.season.Outlook;
import mardun.core.season.Season;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonPlay;
import mardun.core.season.Visit;
import org.hipparchus.random.RandomDataGenerator;
import tools.jackson.databind.JsonNode;

/** What the judge of a made-up season knows: the true demand. It plays a plan by the same rules as the planner, with its own buyers. */
final class SeasonTruth {

    private static final long SEED = 20_260_101;

    private final SeasonPlay play;

    SeasonTruth(Season season, JsonNode truth, int seasons) {
        int items = season.items().size();
        double[] shape = new double[items];
        double[] substitution = new double[items];
        for (int item = 0; item < items; item++) {
            SeasonItem one = season.items().get(item);
            shape[item] = truth.get("items").get(one.id()).get("shape").asDouble();
            substitution[item] = truth.get("substitution").get(one.kind()).asDouble();
        }
        RandomDataGenerator random = new RandomDataGenerator(SEED);
        Visit[][] visits = new Visit[seasons][season.coming().size()];
        for (Visit[] its : visits) {
            double level = lognormal(random, truth.get("seasonSd").asDouble());
            for (int event = 0; event < its.length; event++) {
                JsonNode one = truth.get("events").get(event);
                double[] mean = new double[items];
                for (int item = 0; item < items; item++) {
                    mean[item] =
                            one.get("mean").path(season.items().get(item).id()).asDouble(0);
                }
                double day =
                        level * lognormal(random, one.get("daySd").asDouble()) * weather(one.get("weather"), random);
                its[event] = Visit.draw(mean, day, shape, random);
            }
        }
        play = new SeasonPlay(season, new Outlook(visits), substitution);
    }

    /** The mean gain of a plan. */
    double gain(int[] made, double spent) {
        double sum = 0;
        double[] takings = play.takings(made);
        for (double one : takings) {
            sum += one;
        }
        return sum / takings.length - spent;
    }

    private static double lognormal(RandomDataGenerator random, double spread) {
        return spread == 0 ? 1 : Math.exp(spread * random.nextNormal(0, 1) - spread * spread / 2);
    }

    private static double weather(JsonNode weathers, RandomDataGenerator random) {
        double left = random.nextUniform(0, 1);
        double factor = 1;
        for (JsonNode one : weathers) {
            factor = one.get("factor").asDouble();
            left -= one.get("p").asDouble();
            if (left < 0) {
                return factor;
            }
        }
        return factor;
    }
}
