require("./group.cjs")(0);
