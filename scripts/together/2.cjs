require("./group.cjs")(1);
