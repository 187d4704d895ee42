package mardun.app.backup;

import org.springframework.data.jpa.repository.JpaRepository;

interface BackupPlaceRepository extends JpaRepository<BackupPlace, Integer> {}
