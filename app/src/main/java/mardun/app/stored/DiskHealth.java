package mardun.app.stored;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Says whether there is room on the disk for something new. */
@Component
class DiskHealth implements HealthIndicator {

    private final DiskRoom room;

    DiskHealth(DiskRoom room) {
        this.room = room;
    }

    @Override
    public Health health() {
        return room.isFull()
                ? Health.outOfService()
                        .withDetail("trouble", DiskFullException.SENTENCE)
                        .withDetail("left", room.left())
                        .build()
                : Health.up().withDetail("left", room.left()).build();
    }
}
