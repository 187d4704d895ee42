package mardun.app.batch;

import mardun.app.batch.BatchViews.FirstForm;
import mardun.app.id.BatchId;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch that the maker does before all others, whatever day they are wanted, or in its turn again. */
@Service
public class DoingFirst {

    private final Batches batches;

    DoingFirst(Batches batches) {
        this.batches = batches;
    }

    @Transactional
    public void put(BatchId id, FirstForm form) {
        batches.open(id, form.version()).comeFirst(form.first());
    }
}
