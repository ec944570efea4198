"""Exact finishes of the made scheduling problems, by a general-purpose constraint solver.

    npx tsx scripts/reference/schedule-problems.ts 30 4 3 1 40 > problems.json
    python3 scripts/reference/schedule.py problems.json 30

prints one row a problem, for core/src/scheduling/fixtures/optima.ts. Needs: pip install ortools. The model is written from the words of `problem.ts`, not from our search:
a step starts so that it lies within one span of its fitness; each of its people has an interval of their own within one span of their hours;
nobody does two things at once; tools are cumulative; dust and clean air in one room never overlap; lags run from end to start.
"""
import json
import sys

from ortools.sat.python import cp_model


def starts_within(spans, minutes, horizon):
    return cp_model.Domain.from_intervals([[s["from"], s["to"] - minutes] for s in spans if s["to"] - s["from"] >= minutes and s["from"] < horizon])


def solve(problem, seconds):
    model = cp_model.CpModel()
    horizon = problem["horizon"]
    fitness = {f["id"]: f["spans"] for f in problem["fitness"]}
    start, interval, on_person = {}, {}, {p["id"]: [] for p in problem["people"]}
    on_tool = {t["id"]: [] for t in problem["tools"]}
    for step in problem["steps"]:
        m = step["minutes"]
        domain = cp_model.Domain(0, horizon - m)
        if step["fitness"] is not None:
            domain = domain.intersection_with(starts_within(fitness[step["fitness"]], m, horizon))
        if step["pinned"] is not None:
            domain = cp_model.Domain(step["pinned"], step["pinned"])
        s = model.NewIntVarFromDomain(domain, step["id"])
        start[step["id"]] = s
        interval[step["id"]] = model.NewFixedSizeIntervalVar(s, m, "i" + step["id"])
        for need in step["tools"]:
            on_tool[need["tool"]].append((interval[step["id"]], need["count"]))
        if step["crew"] > 0:
            chosen = []
            for person in problem["people"]:
                if step["skill"] is not None and step["skill"] not in person["skills"]:
                    continue
                does = model.NewBoolVar("")
                chosen.append(does)
                on_person[person["id"]].append(model.NewOptionalFixedSizeIntervalVar(s, m, does, ""))
                model.AddLinearExpressionInDomain(s, starts_within(person["hours"], m, horizon)).OnlyEnforceIf(does)
            model.Add(sum(chosen) == step["crew"])
    for intervals in on_person.values():
        model.AddNoOverlap(intervals)
    for tool in problem["tools"]:
        if on_tool[tool["id"]]:
            model.AddCumulative([i for i, _ in on_tool[tool["id"]]], [c for _, c in on_tool[tool["id"]]], tool["count"])
    for a in problem["steps"]:
        for b in problem["steps"]:
            if a["room"] is not None and a["room"] == b["room"] and a["air"] == "makes dust" and b["air"] == "wants clean air":
                model.AddNoOverlap([interval[a["id"]], interval[b["id"]]])
    minutes = {s["id"]: s["minutes"] for s in problem["steps"]}
    for lag in problem["lags"]:
        wait = start[lag["to"]] - start[lag["from"]] - minutes[lag["from"]]
        model.Add(wait >= lag["least"])
        if lag["most"] is not None:
            model.Add(wait <= lag["most"])
    finish = model.NewIntVar(0, horizon, "finish")
    for step in problem["steps"]:
        model.Add(finish >= start[step["id"]] + step["minutes"])
    model.Minimize(finish)
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.num_workers = 2
    status = solver.Solve(model)
    found = status in (cp_model.OPTIMAL, cp_model.FEASIBLE)
    return {"status": solver.StatusName(status), "finish": int(solver.ObjectiveValue()) if found else None, "bound": int(solver.BestObjectiveBound())}


if __name__ == "__main__":
    with open(sys.argv[1]) as file:
        problems = json.load(file)
    seconds = float(sys.argv[2]) if len(sys.argv) > 2 else 60
    out = []
    for entry in problems:
        out.append({"seed": entry["seed"], "size": entry["size"], **solve(entry["problem"], seconds)})
        print(out[-1], file=sys.stderr)
    print("[\n" + ",\n".join(json.dumps(row) for row in out) + "\n]")
