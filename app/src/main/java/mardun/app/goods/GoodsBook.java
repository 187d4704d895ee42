package mardun.app.goods;

import java.util.Collection;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.goods.GoodsPlaceRepository.AtPlace;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes movements of finished bags, and with each of them how many are at its place then. */
@Component
class GoodsBook {

    private final GoodsMovementRepository movements;
    private final GoodsPlaceRepository places;

    GoodsBook(GoodsMovementRepository movements, GoodsPlaceRepository places) {
        this.movements = movements;
        this.places = places;
    }

    /** How many of a lot are at a place; who asks to take them holds the lot. */
    @Transactional(propagation = Propagation.MANDATORY)
    int units(long id, String place) {
        return places.units(id, place).orElse(0);
    }

    /** How many of some lots are at a place, by the lots; those of which none are there are left out. */
    @Transactional(propagation = Propagation.MANDATORY)
    Map<Long, Integer> units(Collection<Long> ids, String place) {
        return ids.isEmpty()
                ? Map.of()
                : places.at(ids, place).stream().collect(Collectors.toMap(AtPlace::getGoodsId, AtPlace::getUnits));
    }

    /** Writes a movement, inside the caller's transaction; answers its number. */
    @Transactional(propagation = Propagation.MANDATORY)
    long write(long id, GoodsMovement movement) {
        long number = movements.saveAndFlush(movement).id();
        if (places.change(id, movement.place(), movement.changeUnits()) == 0) {
            places.saveAndFlush(new GoodsPlace(id, movement.place(), movement.changeUnits()));
        }
        return number;
    }
}
