using System.Collections.Generic;

namespace Quay;

/// <summary>What a stay costs, in whole crowns.</summary>
public class HarbourDues
{
    private readonly int nightRate;

    public HarbourDues(int nightRate = 90)
    {
        this.nightRate = nightRate;
    }

    public int Quote(Vessel vessel, int nights)
    {
        switch (vessel.Kind)
        {
            case Kind.Tug:
                var half = nights * nightRate;
                return half / 2;
            case Kind.Tanker:
                var extra = vessel.Hazardous ? 200 : 0;
                return nights * (nightRate + extra);
            default:
                return nights * nightRate;
        }
    }

    public void LineUp(Vessel vessel, List<Vessel> queue)
    {
        if (vessel.Kind == Kind.Tug)
        {
            queue.Insert(0, vessel);
        }
        else if (vessel.Kind == Kind.Tanker)
        {
            queue.Insert(1, vessel);
        }
        else
        {
            queue.Add(vessel);
        }
    }

    public int Surcharge(Vessel vessel, bool holiday)
    {
        if (holiday)
        {
            return nightRate * 2 + vessel.Tonnage / 10;
        }
        return nightRate / 4;
    }

    public int Estimate(Vessel vessel) => Quote(vessel, 3) + Surcharge(vessel, false);

    public int HolidayEstimate(Vessel vessel) => Quote(vessel, 3) + Surcharge(vessel, holiday: true);
}
