package mardun.app.door;

import org.springframework.data.jpa.repository.JpaRepository;

interface DoorKeyRepository extends JpaRepository<DoorKey, DoorRole> {}
