package mardun.app.show;

import java.util.List;
import java.util.function.Function;
import org.springframework.data.domain.Page;

/** One page of a list; pages are counted from 0. */
public record PageView<T>(List<T> items, int page, int size, long total) {

    /** No list answers with more than this at once. */
    public static final int LARGEST = 500;

    /** No list has a page beyond this; the places of its lines can still be counted. */
    public static final int LAST = 1_000_000;

    public static <S, T> PageView<T> of(Page<S> page, Function<S, T> view) {
        return new PageView<>(page.map(view).getContent(), page.getNumber(), page.getSize(), page.getTotalElements());
    }
}
