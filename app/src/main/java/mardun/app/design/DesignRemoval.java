package mardun.app.design;

import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.picture.Pictures;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Removes a design that was begun by mistake: nothing uses it. What was made is put away instead. */
@Service
class DesignRemoval {

    private final DesignRepository designs;
    private final DesignPhotoRepository photos;
    private final Pictures pictures;
    private final List<UsesDesigns> users;

    DesignRemoval(DesignRepository designs, DesignPhotoRepository photos, Pictures pictures, List<UsesDesigns> users) {
        this.designs = designs;
        this.photos = photos;
        this.pictures = pictures;
        this.users = users;
    }

    @Transactional
    void remove(DesignId id, long version) {
        DesignEntity design = designs.findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such design, or no longer."));
        ChangedMeanwhileException.check("“" + design.name() + "”", version, design.version());
        users.stream()
                .flatMap(user -> user.useOfDesign(id).stream())
                .findFirst()
                .ifPresent(use -> {
                    throw RefusedException.conflict("“" + design.name() + "” can't be removed: " + use
                            + " was planned from it. Put it away instead; what was made stays.");
                });
        List<String> shown = photos.findByDesignIdInOrderById(List.of(id)).stream()
                .map(DesignPhoto::photo)
                .toList();
        designs.delete(design);
        designs.flush();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                shown.forEach(pictures::forget);
            }
        });
    }
}
