package mardun.app.posting;

import org.springframework.data.jpa.repository.JpaRepository;

interface BagParcelRepository extends JpaRepository<BagParcel, BagParcel.Size> {}
