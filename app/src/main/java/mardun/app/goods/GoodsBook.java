package mardun.app.goods;

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
