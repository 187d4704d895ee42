package mardun.app.door;

import org.springframework.data.jpa.repository.JpaRepository;

interface DoorRepository extends JpaRepository<Door, Integer> {}
