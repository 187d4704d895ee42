package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.BeforeWish;
import mardun.app.batch.BatchViews.ThreadChoice;
import mardun.app.batch.BatchViews.Wishes;
import mardun.app.batch.BatchViews.WithoutWish;
import mardun.app.id.MaterialId;
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
                        .toList(),
                wishes.matching() == null
                        ? Map.of()
                        : wishes.matching().stream()
                                .collect(Collectors.toMap(
                                        one -> one.cloth().key(),
                                        one -> one.thread().key(),
                                        (earlier, later) -> later)));
    }

    static Wishes of(OrderWishes wishes) {
        return new Wishes(
                wishes.before().stream()
                        .map(one -> new BeforeWish(one.first(), one.then()))
                        .toList(),
                wishes.threadFirst().orElse(""),
                wishes.without().stream()
                        .map(one -> new WithoutWish(one.turn(), one.part()))
                        .toList(),
                wishes.threads().entrySet().stream()
                        .map(one ->
                                new ThreadChoice(MaterialId.valueOf(one.getKey()), MaterialId.valueOf(one.getValue())))
                        .sorted(Comparator.comparing(ThreadChoice::cloth))
                        .toList());
    }
}
