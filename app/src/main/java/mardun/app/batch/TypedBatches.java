package mardun.app.batch;

import java.util.Optional;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.plan.Planned;
import mardun.app.settings.Settings;
import mardun.core.making.OrderWishes;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.planning.Missing;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Batches that are thought of and not kept: what they would take, and their work as it would be laid on days. */
@Component
public class TypedBatches {

    private final BatchEntry entry;
    private final WorkOrders orders;
    private final Threads threads;

    TypedBatches(BatchEntry entry, WorkOrders orders, Threads threads) {
        this.entry = entry;
        this.orders = orders;
        this.threads = threads;
    }

    /** The plan of a batch as it is typed. */
    @Transactional(readOnly = true)
    public Planned planned(BatchForm form, Settings current) {
        return entry.preview(form, current);
    }

    /**
     * All its work, as if its material were there.
     *
     * @param name what it is called on the days
     */
    public OpenWork work(Planned planned, BatchForm form, String name) {
        Threads.Shelf shelf = threads.shelf();
        return new OpenWork(
                OpenWork.NOT_KEPT,
                0,
                name,
                BatchStage.PLANNED,
                false,
                false,
                Optional.ofNullable(form.dueOn()),
                form.forWhat(),
                OpenWork.Bags.of(planned),
                planned.stillToDo(true),
                false,
                shelf.matching(planned, OrderWishes.NONE),
                shelf.names(),
                OrderWishes.NONE,
                Missing.NOTHING);
    }

    /** An order to make it in; empty where its steps wait for one another. */
    public Optional<Ordered> order(OpenWork work, Settings current) {
        return orders.soon(work, orders.workshop(current));
    }

    /**
     * @throws mardun.app.problem.RefusedException with a sentence, if it couldn't be kept as it is
     */
    public void refuseIncomplete(Planned planned, Settings current) {
        BatchRefusals.refuseIncomplete(planned, current);
    }
}
