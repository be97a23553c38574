using System;
using Quay;

// One day at Kelp Quay, told line by line: dotnet run [NIGHTS]
var nights = args.Length > 0 ? int.Parse(args[0]) : 3;
var roster = new PilotRoster();
roster.Report(new Pilot("Mira", 300));
roster.Report(new Pilot("Odd", 2000));
var desk = new ArrivalDesk(roster);
var dues = new HarbourDues();
var gate = new LockGate();
foreach (var vessel in new[] { new Vessel("Patience", Kind.Tug, 150), new Vessel("Grey Heron", Kind.Tanker, 1800, true),
    new Vessel("Nonsuch", Kind.Yacht, 12), new Vessel("Leviathan", Kind.Tanker, 9000) })
{
    gate.Push();
    Console.WriteLine($"{vessel.Name}: dues {dues.Quote(vessel, nights)}, pilot {desk.Admit(vessel)}, "
        + $"bill {desk.Bill(vessel)}, toll {gate.Toll(vessel.Tonnage)}");
}
