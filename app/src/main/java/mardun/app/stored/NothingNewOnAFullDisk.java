package mardun.app.stored;

import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/** Refuses every transaction that may write while the disk is full; those that only read go on. */
@Component
class NothingNewOnAFullDisk implements TransactionExecutionListener {

    private final DiskRoom room;

    NothingNewOnAFullDisk(DiskRoom room) {
        this.room = room;
    }

    @Override
    public void beforeBegin(TransactionExecution transaction) {
        if (!transaction.isReadOnly() && room.isFull()) {
            throw new DiskFullException();
        }
    }
}
