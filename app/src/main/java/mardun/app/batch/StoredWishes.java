package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchViews.BeforeWish;
import mardun.app.batch.BatchViews.Wishes;
import mardun.app.batch.BatchViews.WithoutWish;
import mardun.core.making.OrderWishes;
import tools.jackson.databind.json.JsonMapper;

/** What is wanted of a batch's order, as it is stored; an empty text for nothing. */
@Converter
class StoredWishes implements AttributeConverter<OrderWishes, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(OrderWishes wishes) {
        return wishes.equals(OrderWishes.NONE) ? "" : JSON.writeValueAsString(of(wishes));
    }

    @Override
    public OrderWishes convertToEntityAttribute(String stored) {
        return stored.isEmpty() ? OrderWishes.NONE : read(JSON.readValue(stored, Wishes.class));
    }

    static OrderWishes read(Wishes wishes) {
        return new OrderWishes(
                wishes.before().stream()
                        .map(one -> new OrderWishes.Before(one.first(), one.then()))
                        .distinct()
                        .toList(),
                Optional.of(wishes.threadFirst().strip()).filter(thread -> !thread.isEmpty()),
                wishes.without().stream()
                        .map(one -> new OrderWishes.Without(one.turn(), one.part()))
                        .distinct()
                        .toList());
    }

    static Wishes of(OrderWishes wishes) {
        return new Wishes(
                List.copyOf(wishes.before().stream()
                        .map(one -> new BeforeWish(one.first(), one.then()))
                        .toList()),
                wishes.threadFirst().orElse(""),
                List.copyOf(wishes.without().stream()
                        .map(one -> new WithoutWish(one.turn(), one.part()))
                        .toList()));
    }
}
