using System.Collections.Generic;

namespace Quay;

/// <summary>Somebody who may bring vessels in, up to a tonnage.</summary>
public record Pilot(string Name, int Most)
{
    public int Fee() => 40 + Name.Length;
}

/// <summary>Who is on duty.</summary>
public class PilotRoster
{
    private readonly List<Pilot> onDuty = new();

    public void Report(Pilot pilot) => onDuty.Add(pilot);

    public Pilot? PilotFor(Vessel vessel)
    {
        foreach (var pilot in onDuty)
        {
            if (vessel.Tonnage <= pilot.Most)
            {
                return pilot;
            }
        }
        return null;
    }
}

/// <summary>Takes vessels in.</summary>
public class ArrivalDesk
{
    private readonly PilotRoster roster;
    private readonly List<Vessel> waiting = new();

    public ArrivalDesk(PilotRoster roster)
    {
        this.roster = roster;
    }

    public int Admit(Vessel vessel)
    {
        var pilot = roster.PilotFor(vessel);
        if (pilot is null)
        {
            waiting.Add(vessel);
            return 0;
        }
        return pilot.Fee();
    }

    public int Bill(Vessel vessel) => roster.PilotFor(vessel)?.Fee() ?? 15;

    public int Rush(Vessel vessel) => roster.PilotFor(vessel)!.Fee() * 2;
}
