<?php

declare(strict_types=1);

// One day at Kelp Quay, told line by line: php day.php [NIGHTS]
foreach (['Kind', 'Vessel', 'HarbourDues', 'LockGate', 'Pilot', 'PilotRoster', 'ArrivalDesk', 'parts', 'HarbourOffice'] as $file) {
    require __DIR__ . "/src/$file.php";
}

use Quay\{ArrivalDesk, HarbourDues, Kind, LockGate, Pilot, PilotRoster, Vessel};

$nights = (int) ($argv[1] ?? 3);
$roster = new PilotRoster();
$roster->report(new Pilot('Mira', 300));
$roster->report(new Pilot('Odd', 2000));
$desk = new ArrivalDesk($roster);
$dues = new HarbourDues();
$gate = new LockGate();
$vessels = [new Vessel('Patience', Kind::Tug, 150), new Vessel('Grey Heron', Kind::Tanker, 1800, true),
    new Vessel('Nonsuch', Kind::Yacht, 12), new Vessel('Leviathan', Kind::Tanker, 9000)];
foreach ($vessels as $vessel) {
    $gate->push();
    echo $vessel->name, ': dues ', $dues->quote($vessel, $nights), ', pilot ', $desk->admit($vessel),
        ', bill ', $desk->bill($vessel), ', toll ', $gate->toll($vessel->tonnage), "\n";
}
