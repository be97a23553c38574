namespace Quay;

/// <summary>The lock gate: shut, turning or open.</summary>
public class LockGate
{
    private enum Position { Shut, Turning, Open }

    private Position position = Position.Shut;
    private int turns;

    public void Push()
    {
        switch (position)
        {
            case Position.Shut:
                position = Position.Turning;
                turns++;
                break;
            case Position.Turning:
                position = Position.Open;
                break;
            case Position.Open:
                position = Position.Shut;
                turns++;
                break;
        }
    }

    public int Toll(int tonnage)
    {
        if (position == Position.Open)
        {
            return tonnage * 2 + turns;
        }
        else if (position == Position.Turning)
        {
            return tonnage * 3 + turns;
        }
        return 0;
    }
}
