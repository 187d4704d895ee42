package mardun.app.batch;

import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.design.RevisionUse;
import mardun.app.id.DesignId;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What became of the batches that were planned with each revision of a design. */
@Component
class RevisionBatches implements RevisionUse {

    private final BatchRepository batches;

    RevisionBatches(BatchRepository batches) {
        this.batches = batches;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Integer, Made> madeWith(DesignId designId) {
        return batches.madeWith(designId).stream()
                .collect(Collectors.toMap(
                        BatchRepository.MadeWith::revision,
                        with -> new Made(
                                Math.toIntExact(with.batches()),
                                Math.toIntExact(with.bags()),
                                Math.toIntExact(with.lost()))));
    }
}
