package mardun.app.bench;

import java.util.Collection;
import java.util.List;
import mardun.app.id.DesignId;
import org.springframework.data.jpa.repository.JpaRepository;

interface StepPhotoRepository extends JpaRepository<StepPhoto, StepPhoto.Key> {

    List<StepPhoto> findByKeyDesignIdIn(Collection<DesignId> designIds);
}
