package mardun.core.season;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * A design in one size and one cloth, as it may be made for a season.
 *
 * @param id its name in the answer
 * @param design what is set up once, however many of its items are made; its items stand in for one another
 * @param kind pouch, tote, wallet …: bags of a kind sell alike as long as nothing better is known
 * @param price asked for it now
 * @param netAtFair what is left of the price after the fees of a fair
 * @param netOnline what is left of the price after the fees of the shop
 * @param trimCost what is bought for each piece, over its cloth
 * @param minutes of work for each piece
 * @param setUpMinutes of work once, if anything of the design is made
 * @param clothUse what a piece takes of each cloth, and of whatever else is limited, by its name: in metres, or in pieces
 * @param space what it takes of a fair's table, in the table's units
 * @param stock finished pieces that are there
 * @param since the week since which it has been on offer, negative in the past; absent if it never was
 * @param lastDay the last day on which anybody wants it, for a bag of an occasion: 1 for tomorrow, negative where it is over;
 *     absent if it sells all year
 * @param licence the most that may be made now; absent if as many as wanted
 * @param atLeast pieces that are made whatever they bring
 * @param worthUnsold what a piece is worth that is left when the season is over
 * @param fading what each further one that is left is worth of the one before, from 0 to 1
 * @param judgement the maker's own factor on what sales say of it: 1.5 is half as much again
 */
public record SeasonItem(
        String id,
        String design,
        String kind,
        String size,
        String cloth,
        double price,
        double netAtFair,
        double netOnline,
        double trimCost,
        double minutes,
        double setUpMinutes,
        Map<String, Double> clothUse,
        int space,
        int stock,
        OptionalInt since,
        OptionalInt lastDay,
        OptionalInt licence,
        int atLeast,
        double worthUnsold,
        double fading,
        double judgement) {

    /** As far as nobody says otherwise: each further one that is left waits longer for its buyer. */
    public static final double USUAL_FADING = 0.8;

    /** All of it that its buyers see: what past sales of it tell rests on nothing else. */
    List<Object> asOffered() {
        return List.of(id, design, kind, size, cloth, price, since);
    }

    /** The same, taking other minutes and other cloth. */
    SeasonItem taking(double otherMinutes, double otherSetUp, Map<String, Double> otherCloth) {
        return new SeasonItem(
                id,
                design,
                kind,
                size,
                cloth,
                price,
                netAtFair,
                netOnline,
                trimCost,
                otherMinutes,
                otherSetUp,
                otherCloth,
                space,
                stock,
                since,
                lastDay,
                licence,
                atLeast,
                worthUnsold,
                fading,
                judgement);
    }

    /** What so many are worth that are left. */
    double worthOfUnsold(int pieces) {
        return fading == 1 ? worthUnsold * pieces : worthUnsold * (1 - Math.pow(fading, pieces)) / (1 - fading);
    }

    /** Whether somebody may want it then: a bag of an occasion isn't wanted after it. */
    boolean isWantedAt(ComingEvent event) {
        return lastDay.isEmpty() || event.day() <= lastDay.getAsInt();
    }

    /** What is left of its price when it is sold there. */
    public double net(Outlet outlet) {
        return outlet == Outlet.FAIR ? netAtFair : netOnline;
    }
}
